#!/usr/bin/env bash
# Makes the demo's radio messages, narrations and films again: bash database/demo/draw/record.sh
# Needs Debian's espeak-ng, sox, lame, ffmpeg and librsvg2-bin. The files it makes are committed; nobody needs it to run Uplandia.
set -euo pipefail
here=$(cd "$(dirname "$0")" && pwd); out="$here/../licence/sound"; work=$(mktemp -d); trap 'rm -rf "$work"' EXIT
mkdir -p "$out"

radio() { # name, voice, words
  espeak-ng -v "$2" -s 138 -w "$work/$1.wav" "$3"
  sox "$work/$1.wav" -r 22050 "$work/$1-voice.wav" highpass 320 lowpass 3100 compand 0.02,0.1 6:-40,-18,-12 -4 pad 0.35 0.35 norm -4
  sox "$work/$1-voice.wav" "$work/$1-hiss.wav" synth pinknoise vol 0.02
  sox -m "$work/$1-voice.wav" "$work/$1-hiss.wav" "$work/$1-mix.wav"
  lame --quiet -m m -b 32 "$work/$1-mix.wav" "$out/$1.mp3"
}
radio radio-accident en-gb "Senn Hut, this is Guide Four. Accident at grid four two five, one eight three. One person, fall of three metres, broken lower leg. Awake and breathing normally. We have six others, all well. Wind south west, cloud base eight hundred metres. Over."
radio radio-forecast en-gb-x-rp "All huts, this is Corvane Weather with the evening forecast. Freezing level twelve hundred metres at midnight, falling to nine hundred by noon. Wind south west fifty kilometres an hour, veering north west with the front at eleven hundred hours. Out."
radio radio-relay en-gb "Relay, this is Lode Hut. Your message is broken. I heard, party of eight, leaving the plateau, then nothing. Say again all after leaving. Over."
radio radio-search en-gb-x-rp "All search parties, this is Control. Missing person last seen at the junction at fourteen twenty. It is now fifteen fifty. Rough ground, reckon three kilometres an hour. Party two, hold your place and answer. Over."
radio radio-river en-gb "Senn Hut to all parties. The stream gauge stood at forty centimetres at nine, fifty five at ten and seventy at eleven. Rain has stopped at the head of the valley. The footbridge is open. Out."
radio radio-patient en-gb-x-rp "Doctor, this is Guide Nine. Breathing, seven breaths in fifteen seconds. Pulse, twenty five beats in fifteen seconds. He answers when spoken to, but is muddled. Over."

voice() { # name, words
  espeak-ng -v en-gb -s 150 -w "$work/$1.wav" "$2"
  sox "$work/$1.wav" -r 22050 "$work/$1-out.wav" pad 0.2 0.4 norm -4
  lame --quiet -m m -b 32 "$work/$1-out.wav" "$out/$1.mp3"
}
voice lesson-storm-1 "Light reaches you at once. Sound takes about three seconds for a kilometre. So count from the flash to the first rumble, and divide by three. Nine seconds are three kilometres, thirty are ten. At thirty seconds change the plan; at nine you should be somewhere else."
voice lesson-storm-2 "Here is a storm over a hill. Start to count when you see the flash. Stop when the curved lines show that the thunder has come. Then divide by three. And remember: never count from the thunder before. Count from the flash that belongs to it."
voice lesson-storm-3 "Lightning takes the tall way down, and then spreads along the ground. So avoid what is highest, and avoid the edge of anything: ridges, lone trees, the mouth of a cave, the foot of a steep wall. Look for even ground, or a wide dry hollow, away from water."
voice lesson-storm-4 "Leave the ridge first. Spread out, several metres apart. Put poles and axes aside, and crouch on your pack with your feet together. Do not lie down, and do not lean on rock. If your hair stands up or metal hums, move at once, and move low."
voice lesson-storm-5 "Wait for thirty minutes after the last thunder. Each new one starts the count again. Somebody who was struck carries no charge, so touch them, and help at once. If they do not breathe, begin to press on the chest."

film() { # name, frames a second: frames stand in $work/name-NNN.svg
  for frame in "$work/$1"-*.svg; do rsvg-convert -w 480 "$frame" -o "${frame%.svg}.png"; done
  ffmpeg -loglevel error -y -framerate "$2" -i "$work/$1-%03d.png" -c:v libx264 -preset veryslow -crf 26 -pix_fmt yuv420p -movflags +faststart -an "$out/$1.mp4"
}
node "$here/films.mjs" "$work"
film film-lightning 5
film film-front 5

solutions() { # exam: a frame is a step, and stands for four seconds
  mkdir -p "$here/../$1/sound"
  for first in "$work/$1"/solve-*-000.svg; do
    name=$(basename "${first%-000.svg}")
    for frame in "$work/$1/$name"-*.svg; do rsvg-convert -w 480 "$frame" -o "${frame%.svg}.png"; done
    ffmpeg -loglevel error -y -framerate 1/4 -i "$work/$1/$name-%03d.png" -r 5 -c:v libx264 -preset veryslow -crf 26 -pix_fmt yuv420p -movflags +faststart -an "$here/../$1/sound/$name.mp4"
  done
}
node "$here/solutions.mjs" "$work"
solutions licence
solutions warden
ls -l "$out"
