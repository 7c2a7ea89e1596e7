<?php

declare(strict_types=1);

namespace App\Today;

use App\Clock\Moment;
use App\Handbook\HandbookSection;
use App\Progress\KeptEstimates;
use App\Progress\ProgressSnapshot;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\OwnStandings;
use App\Sitting\HandedIn;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Shown;

/**
 * The shortest list of what to do next, each with its reason: what is due, what costs most, what to read for it.
 *
 * @phpstan-import-type Kept from KeptEstimates
 * @phpstan-import-type TopicStands from ProgressSnapshot
 */
final readonly class NextSteps
{
    private const MOST = 3;

    /** Gaps that are looked at for what to read. */
    private const GAPS = 100;

    /** Whoever stays away longer is told so. */
    private const ABSENT_DAYS = 14;

    /** In the last weeks before an exam it is rehearsed. */
    private const REHEARSE_WITHIN = 21;

    /** But not in the last days before it. */
    private const REST = 2;

    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * @param  Kept  $kept
     * @param  int|null  $daysToGo  null: no date is set
     * @param  int|null  $lastMs  when something was last handed in; null: nothing ever was
     * @return list<StepView> the most useful first
     */
    public function of(Candidacy $candidacy, array $kept, QuickView $quick, ?int $daysToGo, ?int $lastMs): array
    {
        if ($daysToGo === 0) {
            return self::onTheDay($quick);
        }
        $steps = [];
        if ($quick->due > 0) {
            $away = $lastMs === null ? 0 : intdiv(Moment::now($this->clock) - $lastMs, Moment::MS_PER_DAY);
            $steps[] = new StepView(
                kind: StepKind::Due,
                sentence: Shown::count($quick->due, 'question is due', 'questions are due').' to revisit',
                reason: $away > self::ABSENT_DAYS
                    ? "It has been {$away} days, and they fade: begin with these, twenty at a time."
                    : 'They come back just before they would be forgotten.',
            );
        }
        $stands = $kept['stands'];
        $syllabus = $candidacy->syllabus();
        $dearest = self::dearest($stands['topics']);
        if ($dearest !== null) {
            $steps[] = new StepView(
                kind: StepKind::WeakSpots,
                sentence: "{$syllabus->named($dearest['code'])->name} first, in a test of your weak spots",
                reason: sprintf('It is worth %.1F points of the exam.', $dearest['stake']),
            );
            $steps = [...$steps, ...$this->reading($candidacy, $dearest['code'])];
        }
        if ($daysToGo !== null && $daysToGo > self::REST && $daysToGo <= self::REHEARSE_WITHIN && $quick->rehearsal > 0
            && ! $this->rehearsed($candidacy)) {
            array_unshift($steps, new StepView(
                kind: StepKind::Rehearse,
                sentence: 'Rehearse the whole exam',
                reason: Shown::count($daysToGo, 'day is', 'days are').
                    ' left, and none was rehearsed in the last seven.',
            ));
        }
        if ($stands['responsesMissing'] > 0) {
            $steps[] = new StepView(
                kind: StepKind::Begin,
                sentence: 'Ten questions that are new to you',
                reason: $stands['responses'] === 0
                    ? 'You see the answer and the reason after each one.'
                    : Shown::count($stands['responsesMissing'], 'more answer', 'more answers').
                        ' until a pass outlook can be told.',
            );
        }
        if ($quick->missed > 0) {
            $steps[] = new StepView(
                kind: StepKind::WentWrong,
                sentence: 'Go over what went wrong last time',
                reason: Shown::count($quick->missed, 'question', 'questions').', twenty at a time.',
            );
        }
        if ($stands['responsesMissing'] === 0 && count($steps) < self::MOST) {
            $steps[] = new StepView(
                kind: StepKind::Begin,
                sentence: 'Ten questions that are new to you',
                reason: 'What was never met is what surprises.',
            );
        }

        return array_slice($steps, 0, self::MOST);
    }

    /** @return list<StepView> on the day of the exam nothing new helps any more */
    private static function onTheDay(QuickView $quick): array
    {
        return $quick->due === 0
            ? []
            : [
                new StepView(
                    kind: StepKind::Due,
                    sentence: 'A few that you have met before',
                    reason: 'Only if it calms you: nothing new helps today. Good luck.',
                ),
            ];
    }

    /**
     * @param  list<TopicStands>  $topics
     * @return TopicStands|null
     */
    private static function dearest(array $topics): ?array
    {
        $dearest = null;
        foreach ($topics as $topic) {
            if ($topic['stake'] !== null && $topic['stake'] > ($dearest['stake'] ?? 0.0)) {
                $dearest = $topic;
            }
        }

        return $dearest;
    }

    /** @return list<StepView> the section that most open gaps of a topic refer to; none: there are no gaps */
    private function reading(Candidacy $candidacy, string $topic): array
    {
        $syllabus = $candidacy->syllabus();
        $top = $syllabus->named($topic);
        $topics = array_column([$top, ...$syllabus->under($top)], 'id');
        $rows = OwnStandings::of($candidacy)
            ->join('questions', 'questions.id', '=', 'standings.question_id')
            ->join('question_versions', 'question_versions.id', '=', 'questions.version_id')
            ->whereIn('standings.topic_id', $topics)
            ->where('gap_open', true)
            ->limit(self::GAPS)
            ->pluck('withheld');
        $counts = [];
        foreach ($rows as $withheld) {
            $references = json_decode(is_string($withheld) ? $withheld : '', true)['references'] ?? [];
            foreach (array_filter((array) $references, is_string(...)) as $code) {
                $counts[$code] = ($counts[$code] ?? 0) + 1;
            }
        }
        arsort($counts);
        $code = array_key_first($counts);
        $section = $code === null
            ? null
            : HandbookSection::query()
                ->where('exam_id', $candidacy->exam->id)
                ->where('code', $code)
                ->first(['code', 'title']);

        return $section === null
            ? []
            : [
                new StepView(
                    kind: StepKind::Read,
                    sentence: "Read “{$section->title}”",
                    reason: Shown::count($counts[$code], 'open gap', 'open gaps')." of {$top->name} ".
                        ($counts[$code] === 1 ? 'refers' : 'refer').' to it.',
                    section: $section->code,
                ),
            ];
    }

    private function rehearsed(Candidacy $candidacy): bool
    {
        return HandedIn::whole(HandedIn::of($candidacy))
            ->where('sittings.ended_ms', '>', Moment::now($this->clock) - 7 * Moment::MS_PER_DAY)
            ->exists();
    }
}
