#!/usr/bin/env bash
# Makes the demo's radio messages and films again: bash database/demo/draw/record.sh
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

film() { # name, frames a second: frames stand in $work/name-NNN.svg
  for frame in "$work/$1"-*.svg; do rsvg-convert -w 480 "$frame" -o "${frame%.svg}.png"; done
  ffmpeg -loglevel error -y -framerate "$2" -i "$work/$1-%03d.png" -c:v libx264 -preset veryslow -crf 26 -pix_fmt yuv420p -movflags +faststart -an "$out/$1.mp4"
}
node "$here/films.mjs" "$work"
film film-lightning 5
film film-front 5
ls -l "$out"
