<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Clock\Moment;
use App\Database\Pages;
use App\Handbook\HandbookSection;
use App\Library\MetQuestions;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\NamedCountView;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Revisit\GapState;

/** Puts the gap book together: what is in it, by what it can be looked through, and the page that is wanted. */
final readonly class GapReader
{
    private const PAGE = 50;

    /** On paper all of it, within reason. */
    private const SHEET = 300;

    public function __construct(private GapLines $lines, private MetQuestions $questions)
    {
    }

    /** @param  bool  $sheet  all on one page, to be printed */
    public function of(Candidacy $candidacy, GapsWanted $wanted, int $page, bool $sheet = false): GapBookView
    {
        $lines = $this->lines->of($candidacy);
        $states = array_count_values(array_map(fn (GapLine $line): string => $line->state->value, $lines));
        $inState = array_filter($lines, fn (GapLine $line): bool => $line->passes(
            new GapsWanted(topic: null, cause: null, section: null, state: $wanted->state),
        ));
        $passing = array_values(array_filter($lines, fn (GapLine $line): bool => $line->passes($wanted)));
        $shown = Pages::among($passing, $page, $sheet ? self::SHEET : self::PAGE);

        return new GapBookView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            open: $states[GapState::Open->value] ?? 0,
            closing: $states[GapState::Closing->value] ?? 0,
            closed: $states[GapState::Closed->value] ?? 0,
            topics: self::topics($candidacy->exam, $inState),
            causes: self::causes($inState),
            reading: self::reading($candidacy->exam, $inState),
            total: count($passing),
            page: $shown->currentPage(),
            pages: $shown->lastPage(),
            gaps: $this->gaps($candidacy, array_values($shown->items())),
        );
    }

    /** @return list<int> questions that pass, those that have waited longest first */
    public function questions(Candidacy $candidacy, GapsWanted $wanted): array
    {
        return array_map(
            fn (GapLine $line): int => $line->question,
            array_reverse(array_values(array_filter(
                $this->lines->of($candidacy),
                fn (GapLine $line): bool => $line->passes($wanted),
            ))),
        );
    }

    /**
     * @param  list<GapLine>  $lines
     * @return list<GapView>
     */
    private function gaps(Candidacy $candidacy, array $lines): array
    {
        $examDay = $candidacy->enrolment()->examDay;
        $met = $this->questions->of($candidacy, array_map(fn (GapLine $line): int => $line->question, $lines));

        return array_map(
            function (GapLine $line) use ($met, $examDay): GapView {
                $question = $met[$line->question];

                return new GapView(
                    question: $line->question,
                    excerpt: $question->excerpt,
                    kind: $question->kind,
                    topic: $question->topic,
                    subtopic: $question->subtopic,
                    state: $line->state,
                    since: Moment::date($line->day),
                    misses: $question->misses,
                    seenAt: $question->seenAt,
                    cause: $line->cause === null ? null : Cause::from($line->cause),
                    note: $question->note,
                    sections: $line->sections,
                    due: $question->due($examDay),
                    retired: $question->retired,
                    sitting: $question->sitting,
                    position: $question->position,
                );
            },
            $lines,
        );
    }

    /**
     * @param  array<int, GapLine>  $lines
     * @return list<NamedCountView>
     */
    private static function topics(Exam $exam, array $lines): array
    {
        $counts = array_count_values(array_map(fn (GapLine $line): string => $line->topic, $lines));
        $tops = array_filter(
            Syllabus::of($exam)->tops(),
            fn (SyllabusTopic $top): bool => isset($counts[$top->code]),
        );

        return array_map(
            fn (SyllabusTopic $top): NamedCountView => new NamedCountView($top->code, $top->name, $counts[$top->code]),
            array_values($tops),
        );
    }

    /**
     * @param  array<int, GapLine>  $lines
     * @return list<NamedCountView>
     */
    private static function causes(array $lines): array
    {
        $counts = array_count_values(array_map(
            fn (GapLine $line): string => $line->cause ?? GapsRequest::NO_CAUSE,
            $lines,
        ));
        arsort($counts);

        return array_map(
            fn (string $code, int $n): NamedCountView => new NamedCountView($code, $code, $n),
            array_keys($counts),
            $counts,
        );
    }

    /**
     * @param  array<int, GapLine>  $lines
     * @return list<ReadingView> in the order of the pages
     */
    private static function reading(Exam $exam, array $lines): array
    {
        $counts = array_count_values(array_merge([], ...array_map(
            fn (GapLine $line): array => $line->sections,
            array_values($lines),
        )));
        $sections = HandbookSection::query()
            ->where('exam_id', $exam->id)
            ->whereIn('code', array_map(strval(...), array_keys($counts)))
            ->orderBy('position')
            ->get(['code', 'chapter', 'title']);

        return array_map(
            fn (HandbookSection $section): ReadingView => new ReadingView(
                code: $section->code,
                chapter: $section->chapter,
                title: $section->title,
                n: $counts[$section->code],
            ),
            array_values($sections->all()),
        );
    }
}
