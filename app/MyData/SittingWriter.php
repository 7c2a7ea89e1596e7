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
use App\Question\Exam;
use App\Result\Settlement;
use App\Sitting\Recorder;
use App\Sitting\Sitting;
use App\Sitting\SittingEvents;
use App\Sitting\Stage;
use ArrayObject;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Status;
use Uplandia\Core\Sitting\Terms;

/**
 * Writes a sitting that an archive tells of, and works out what came of it.
 *
 * @phpstan-import-type Known from PartTokens
 */
final readonly class SittingWriter
{
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
        Exam $exam,
        User $user,
        array $sheet,
        string $id,
        array $recipes,
        ArrayObject $tests,
    ): void {
        $versions = $this->versions($exam, $sheet['test']['items']);
        $print = hash('sha256', (string) json_encode($sheet['test']));
        $told = $sheet['test']['id'];
        if (! isset($tests[$told])) {
            $made = $this->test(
                exam: $exam,
                user: $user,
                told: $sheet['test'],
                versions: $versions,
                recipes: $recipes,
            );
            $tests[$told] = [$made, $print];
        }
        [$test, $before] = $tests[$told];
        if ($before !== $print) {
            throw Archive::refusal('This archive tells of the same test in two ways.');
        }
        $sitting = $this->sitting(exam: $exam, user: $user, sheet: $sheet, id: $id, test: $test);
        if ($sitting->hasBegun()) {
            $this->replay(sitting: $sitting, sheet: $sheet, versions: $versions);
        } elseif ($sheet['events'] !== []) {
            throw Archive::refusal('This archive tells of answers in a sitting that has not begun.');
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
            new MarkScheme($item['marks'], $item['penalty']);

            return $here[$item['question']][$item['version']] ?? throw Archive::refusal(
                "This installation does not have question {$item['question']} of {$exam->name} as it was answered.",
            );
        }, $items);
    }

    /**
     * @param  array<string, mixed>  $told
     * @param  list<Known>  $versions
     * @param  array<string, string>  $recipes
     */
    private function test(Exam $exam, User $user, array $told, array $versions, array $recipes): string
    {
        $section = $told['of_exam'] ? $told['section'] : null;
        $sections = $exam->hasBlueprint() ? $exam->blueprint()->sections : [];
        if ($section !== null && ! in_array($section, array_column($sections, 'code'), true)) {
            throw Archive::refusal("This installation has no such section of {$exam->name}.");
        }
        $items = array_map(fn (array $item, array $version, int $position): array => [
            'position' => $position,
            'question_id' => $version['question'],
            'version_id' => $version['version'],
            'marks' => $item['marks'],
            'penalty' => $item['penalty'],
            'section' => $item['section'],
        ], $told['items'], $versions, array_keys($versions));
        // A paper of another edition is a test like any other: what is everybody's is made of nobody's archive.
        $fixed = $this->fixed($exam, $told);
        if ($fixed !== null && $this->holds($fixed, $items)) {
            return $fixed->id;
        }
        $test = Test::holding(
            settings: array_intersect_key($told, array_flip(self::SETTINGS)) + [
                'user_id' => $user->id,
                'exam_id' => $exam->id,
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
            $row = $this->series->row($exam, $told['series']['series'], $told['series']['test']);

            return $row === null ? null : $this->series->of($exam, $row);
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
    private function sitting(Exam $exam, User $user, array $sheet, string $id, string $test): Sitting
    {
        $begun = $sheet['status'] !== Stage::NotStarted->value;
        $sitting = new Sitting();
        $sitting->forceFill([
            'id' => $id,
            'user_id' => $user->id,
            'exam_id' => $exam->id,
            'test_id' => $test,
            'name' => $sheet['name'],
            'mode' => Mode::from($sheet['mode']),
            'on_paper' => $sheet['on_paper'],
            'reserve_ms' => $sheet['reserve_ms'],
            'questions' => count($sheet['test']['items']),
            'status' => $begun ? Stage::Open : Stage::NotStarted,
            'terms' => $begun ? Terms::fromArray((array) $sheet['terms'])->toArray() : null,
            'secret' => $sheet['secret'] ?? Str::random(32),
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
