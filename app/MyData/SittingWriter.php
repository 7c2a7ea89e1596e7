<?php

declare(strict_types=1);

namespace App\MyData;

use App\Account\User;
use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Assembly\SeriesTests;
use App\Assembly\Test;
use App\Clock\Moment;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Result\Settlement;
use App\Sitting\Recorder;
use App\Sitting\Sitting;
use App\Sitting\SittingEvents;
use App\Sitting\Stage;
use App\Sitting\TestTerms;
use ArrayObject;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Item;
use Uplandia\Core\Sitting\Status;
use Uplandia\Core\Sitting\Terms;

/**
 * Writes a sitting that an archive tells of, and works out what came of it.
 *
 * @phpstan-import-type Known from PartTokens
 */
final readonly class SittingWriter
{
    /** No question of anybody is worth more. */
    private const MOST_MARKS = 100;

    private const SETTINGS = [
        'of_exam', 'section', 'title', 'minutes', 'seconds_each', 'shuffled', 'running_score', 'asks_sureness',
        'seed', 'adaptive',
    ];

    public function __construct(
        private Recorder $recorder,
        private Settlement $settlement,
        private PaperTests $papers,
        private SeriesTests $series,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param  array<string, mixed>  $sheet  as the schema has it
     * @param  string  $id  what it is called from now on
     * @param  array<string, string>  $recipes  id as it was => as it is
     * @param  ArrayObject<string, array{string, string}>  $tests  id as it was => as it is, and a print of what was
     *   told of it
     *
     * @throws Refusal when it is of questions that are not here
     */
    public function write(
        Candidacy $candidacy,
        array $sheet,
        string $id,
        array $recipes,
        ArrayObject $tests,
    ): void {
        $versions = $this->versions($candidacy->exam, $sheet['test']['items']);
        $print = hash('sha256', (string) json_encode($sheet['test']));
        $told = $sheet['test']['id'];
        if (! isset($tests[$told])) {
            $made = $this->test(
                candidacy: $candidacy,
                told: $sheet['test'],
                terms: $sheet['terms'],
                versions: $versions,
                recipes: $recipes,
            );
            $tests[$told] = [$made, $print];
        }
        [$test, $before] = $tests[$told];
        if ($before !== $print) {
            throw Archive::refusal('This archive tells of the same test in two ways.');
        }
        $sitting = $this->sitting(candidacy: $candidacy, sheet: $sheet, id: $id, test: $test);
        if ($sitting->hasBegun()) {
            $this->replay(sitting: $sitting, sheet: $sheet, versions: $versions);
        } elseif ($sheet['events'] !== []) {
            throw Archive::refusal('This archive tells of answers in a sitting that has not begun.');
        }
        foreach (array_chunk($sheet['exposures'] ?? [], 50) as $chunk) {
            DB::table('exposures')->insert(array_map(fn (array $one): array => [
                ...$candidacy->key(),
                'question_id' => $versions[$one['position']]['question']
                    ?? throw Archive::refusal('This archive tells of a question that is not in its test.'),
                'sitting_id' => $id,
                'how' => $one['how'],
                'at_ms' => $one['at_ms'],
                'day' => $one['day'],
            ], $chunk));
        }
        if ($sheet['scratch'] !== null) {
            DB::table('scratch_pads')->insert([
                'sitting_id' => $id,
                'strokes' => json_encode($sheet['scratch']['strokes']),
            ] + $sheet['scratch']);
        }
        DB::table('sittings')->where('id', $id)->update([
            'created_at' => $sheet['created_at'],
            'updated_at' => $sheet['updated_at'],
        ]);
    }

    /**
     * @param  list<array{question: string, version: string, marks: string, penalty: string, ...}>  $items
     * @return list<Known>
     *
     * @throws Refusal
     */
    private function versions(Exam $exam, array $items): array
    {
        $here = PartTokens::ofQuestions($exam->id, array_values(array_unique(array_column($items, 'question'))));

        return array_map(function (array $item) use ($here, $exam): array {
            // Read once, so that nothing is kept that cannot be marked.
            $scheme = new MarkScheme($item['marks'], $item['penalty']);
            if ($scheme->marks->isGreaterThan(self::MOST_MARKS)) {
                throw Archive::refusal('This archive tells of a question that is worth more marks than any.');
            }

            return $here[$item['question']][$item['version']] ?? throw Archive::refusal(
                "This installation does not have question {$item['question']} of {$exam->name} as it was answered.",
            );
        }, $items);
    }

    /**
     * @param  array<string, mixed>  $told
     * @param  array<string, mixed>|null  $terms  of the sitting; null: it has not begun
     * @param  list<Known>  $versions
     * @param  array<string, string>  $recipes
     */
    private function test(
        Candidacy $candidacy,
        array $told,
        ?array $terms,
        array $versions,
        array $recipes,
    ): string {
        $section = $told['of_exam'] ? $told['section'] : null;
        $sections = $candidacy->exam->hasBlueprint() ? $candidacy->exam->blueprint()->sections : [];
        if ($section !== null && ! in_array($section, array_column($sections, 'code'), true)) {
            throw Archive::refusal("This installation has no such section of {$candidacy->exam->name}.");
        }
        // Sat under the exam's rules is only what its rules here would make; all else is a test like any other.
        $told['of_exam'] = $told['of_exam'] && $this->isOfExam(candidacy: $candidacy, told: $told, terms: $terms);
        $told['section'] = $told['of_exam'] ? $told['section'] : null;
        $items = array_map(fn (array $item, array $version, int $position): array => [
            'position' => $position,
            'question_id' => $version['question'],
            'version_id' => $version['version'],
            'marks' => $item['marks'],
            'penalty' => $item['penalty'],
            'section' => $item['section'],
        ], $told['items'], $versions, array_keys($versions));
        // A paper of another edition is a test like any other: what is everybody's is made of nobody's archive.
        $fixed = $this->fixed($candidacy->exam, $told);
        $isFixed = $fixed !== null && $this->holds($fixed, $items) &&
            self::hasTermsOf(fixed: $fixed, user: $candidacy->user, told: $told, terms: $terms);
        if ($isFixed) {
            return $fixed->id;
        }
        $test = Test::createWith(
            settings: array_intersect_key($told, array_flip(self::SETTINGS)) + [
                ...$candidacy->key(),
                'recipe_id' => $recipes[(string) $told['recipe']] ?? null,
                'reasons' => $told['reasons'],
                'mode' => Mode::from($told['mode'])->value,
            ],
            items: $items,
            minutes: $told['minutes'],
        );
        DB::table('tests')->where('id', $test->id)->update([
            'created_at' => $told['created_at'],
            'updated_at' => $told['updated_at'],
        ]);

        return $test->id;
    }

    /**
     * @param  array<string, mixed>  $told
     * @param  array<string, mixed>|null  $terms
     */
    private function isOfExam(Candidacy $candidacy, array $told, ?array $terms): bool
    {
        if (! $candidacy->exam->hasBlueprint()) {
            return false;
        }
        $blueprint = $told['section'] === null ? $candidacy->exam->blueprint() : $candidacy->exam->blueprint()->only($told['section']);
        $asked = [];
        foreach ($blueprint->sections as $section) {
            $one = [(string) $section->scheme->marks, (string) $section->scheme->penalty, $section->code];
            array_push($asked, ...array_fill(0, $section->questions, $one));
        }
        $items = array_map(fn (array $item): array => [
            (string) BigRational::of($item['marks']), (string) BigRational::of($item['penalty']), $item['section'],
        ], $told['items']);
        $places = array_flip(array_column($blueprint->sections, 'code'));
        $made = $items !== $asked || $terms === null ? null : Terms::ofExam(
            $blueprint,
            array_map(
                fn (array $item, Item $as): Item => new Item($places[$item['section']], $as->series),
                $told['items'],
                Terms::fromArray($terms)->items,
            ),
        );

        return $items === $asked && ($made === null || self::areAlike($made, $candidacy->user, $terms));
    }

    /**
     * @param  array<string, mixed>  $told
     * @param  array<string, mixed>|null  $terms
     */
    private static function hasTermsOf(Test $fixed, User $user, array $told, ?array $terms): bool
    {
        $fixed->loadMissing('exam');

        return $terms === null || $told['mode'] !== $fixed->mode->value ||
            self::areAlike(TestTerms::of($fixed, new User(['extra_time' => '1'])), $user, $terms);
    }

    /**
     * Whether terms are what others would be, but for somebody's extra time.
     *
     * @param  array<string, mixed>|null  $terms
     */
    private static function areAlike(Terms $made, User $user, ?array $terms): bool
    {
        $told = Terms::fromArray((array) $terms);
        foreach (array_unique([$user->extra_time, '1']) as $factor) {
            if ($made->withExtraTime($factor)->toArray() === $told->toArray()) {
                return true;
            }
        }

        return false;
    }

    /**
     * The paper or the test of a series that it is, as it is here.
     *
     * @param  array<string, mixed>  $told
     * @return Test|null null: it is neither, or not here
     */
    private function fixed(Exam $exam, array $told): ?Test
    {
        if ($told['paper'] !== null) {
            $paper = Paper::query()->where('exam_id', $exam->id)->where('code', $told['paper'])->first();

            return $paper === null ? null : $this->papers->of($paper, $told['section']);
        }
        if ($told['series'] !== null) {
            $one = $this->series->find($exam, $told['series']['series'], $told['series']['test']);

            return $one === null ? null : $this->series->of($exam, $one);
        }

        return null;
    }

    /** @param  list<array<string, mixed>>  $items */
    private function holds(Test $test, array $items): bool
    {
        $rows = DB::table('test_items')
            ->where('test_id', $test->id)
            ->orderBy('position')
            ->get(['position', 'question_id', 'version_id', 'marks', 'penalty', 'section']);

        return $rows->map(fn (object $row): array => (array) $row)->all() == $items;
    }

    /** @param  array<string, mixed>  $sheet */
    private function sitting(Candidacy $candidacy, array $sheet, string $id, string $test): Sitting
    {
        $begun = $sheet['status'] !== Stage::NotStarted->value;
        $sitting = new Sitting();
        $sitting->forceFill([
            'id' => $id,
            ...$candidacy->key(),
            'test_id' => $test,
            'name' => $sheet['name'],
            // Archives of before there were notes on tests tell of none.
            'note_title' => $sheet['note_title'] ?? '',
            'note' => $sheet['note'] ?? '',
            'mode' => Mode::from($sheet['mode']),
            'on_paper' => $sheet['on_paper'],
            'reserve_ms' => $sheet['reserve_ms'],
            'questions' => count($sheet['test']['items']),
            'status' => $begun ? Stage::Open : Stage::NotStarted,
            'terms' => $begun ? Terms::fromArray((array) $sheet['terms'])->toArray() : null,
            'secret' => $sheet['secret'] ?? Str::random(32),
            // What was sat elsewhere is told to its candidate, and says nothing of the questions to anybody else.
            'in_cohort' => false,
            'clocked' => $begun && Terms::fromArray((array) $sheet['terms'])->hasClock(),
            'started_ms' => $begun ? (int) $sheet['started_ms'] : null,
            'contact_ms' => $begun ? min((int) $sheet['contact_ms'], Moment::now($this->clock)) : null,
        ])->save();

        return $sitting->refresh();
    }

    /**
     * @param  array<string, mixed>  $sheet
     * @param  list<Known>  $versions
     *
     * @throws Refusal
     */
    private function replay(Sitting $sitting, array $sheet, array $versions): void
    {
        if (count($sitting->terms()->items) !== count($versions)) {
            throw Archive::refusal('This archive tells of terms that are of another test.');
        }
        $events = new SittingEvents($sitting);
        $told = $this->events($sheet['events'], $versions);
        [, $unsound] = $this->recorder->sound(
            $sitting,
            array_values(array_filter($told, fn (Event $event): bool => $event->kind->isTheBrowsers())),
        );
        if ($unsound !== []) {
            throw Archive::refusal('This archive tells of an answer that cannot have been given.');
        }
        $events->bring($told);
        $closed = $sheet['status'] === Stage::HandedIn->value;
        // What went by since the last contact with an open one is for its next contact to say.
        $at = $closed ? Moment::now($this->clock) : (int) $sitting->contact_ms;
        $state = $events->whole($sitting->terms())->at($at);
        if ($closed !== ($state->status === Status::HandedIn)) {
            throw Archive::refusal('This archive tells of a sitting that was handed in and was not.');
        }
        $facts = [];
        foreach ($sheet['facts'] as $fact) {
            $facts[(int) $fact['position']] = ['cohort_ms' => $fact['cohort_ms'], 'day' => $fact['day']];
        }
        $this->settlement->bring(sitting: $sitting, state: $state, facts: $facts);
    }

    /**
     * @param  list<array<string, mixed>>  $told
     * @param  list<Known>  $versions
     * @return list<Event>
     *
     * @throws Refusal
     */
    private function events(array $told, array $versions): array
    {
        $now = Moment::now($this->clock);
        $events = $seen = [];
        foreach ($told as $one) {
            $position = $one['position'];
            if (isset($seen[$one['id']])) {
                throw Archive::refusal('This archive tells of the same step twice.');
            }
            if ($one['at_ms'] > $now) {
                throw Archive::refusal('This archive tells of a time that has not come yet.');
            }
            if ($position !== null && ! isset($versions[$position])) {
                throw Archive::refusal('This archive tells of a question that is not in its test.');
            }
            $seen[$one['id']] = true;
            $value = $one['value'];
            if ($position !== null && $value !== null) {
                $names = array_flip($versions[$position]['tokens']);
                $value = json_decode(strtr((string) json_encode($value), $names), true);
            }
            $events[] = new Event(
                id: $one['id'],
                seq: $one['seq'],
                kind: EventKind::from($one['kind']),
                at: $one['at_ms'],
                madeAt: $one['made_ms'],
                position: $position,
                value: is_array($value) || is_bool($value) || is_int($value) || is_string($value) ? $value : null,
            );
        }

        return $events;
    }
}
