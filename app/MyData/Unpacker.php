<?php

declare(strict_types=1);

namespace App\MyData;

use App\Account\User;
use App\Clock\Moment;
use App\Http\Refusal;
use App\Question\Exam;
use App\Result\Settlement;
use ArrayObject;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;
use Throwable;

/**
 * Takes an archive in, for a person who has nothing of its exams yet: all of it, or nothing. What came of a sitting is
 * not read but worked out anew from its events, by the same code as anybody's.
 */
final readonly class Unpacker
{
    public function __construct(
        private PersonRows $rows,
        private SittingWriter $writer,
        private Settlement $settlement,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal with why it is not taken in */
    public function unpack(User $user, string $path): TakenInView
    {
        $archive = Archive::open($path);
        $person = $archive->person();
        $exams = $this->exams($user, $person);

        return DB::transaction(function () use ($archive, $person, $exams, $user): TakenInView {
            $recipes = $sittings = [];
            foreach ($person['exams'] as $rows) {
                foreach ($rows['recipes'] as $recipe) {
                    $recipes[$recipe['id']] ??= self::again($recipe['id']);
                }
            }
            foreach ($person['exams'] as $rows) {
                // Sittings are of tests, which are of recipes; attempts are of sittings.
                $this->rows->write(
                    exam: $exams[$rows['exam']],
                    user: $user,
                    rows: $rows,
                    recipes: $recipes,
                );
            }
            /** @var ArrayObject<string, array{string, string}> $tests */
            $tests = new ArrayObject();
            foreach ($archive->sittings() as $name => $sheet) {
                $exam = $exams[$sheet['exam']] ?? throw Archive::refusal("{$name} is of an exam that is not told of.");
                if (isset($sittings[$sheet['id']])) {
                    throw Archive::refusal('This archive tells of the same sitting twice.');
                }
                $sittings[$sheet['id']] = self::again($sheet['id']);
                try {
                    $this->writer->write(
                        exam: $exam,
                        user: $user,
                        sheet: $sheet,
                        id: $sittings[$sheet['id']],
                        recipes: $recipes,
                        tests: $tests,
                    );
                } catch (Refusal $refusal) {
                    throw $refusal;
                } catch (Throwable $impossible) {
                    // Whatever somebody made up that no page would send: its events fit no test, or no clock.
                    report($impossible);
                    throw Archive::refusal("{$name} tells of what cannot have happened.");
                }
            }
            foreach ($person['exams'] as $rows) {
                $this->finish(exam: $exams[$rows['exam']], user: $user, rows: $rows, sittings: $sittings);
            }

            return new TakenInView(
                exams: array_values(array_map(fn (Exam $exam): string => $exam->name, $exams)),
                sittings: count($sittings),
                cards: array_sum(array_map(fn (array $rows): int => count($rows['cards']), $person['exams'])),
                notes: array_sum(array_map(fn (array $rows): int => count($rows['notes']), $person['exams'])),
            );
        });
    }

    /**
     * @param  array<string, mixed>  $rows
     * @param  array<string, string>  $sittings
     */
    private function finish(Exam $exam, User $user, array $rows, array $sittings): void
    {
        $this->rows->writeAttempts(exam: $exam, user: $user, rows: $rows, sittings: $sittings);
        $this->settlement->broughtAll($user->id, $exam->id);
    }

    /**
     * The exams that are told of, by their slugs.
     *
     * @param  array<string, mixed>  $person
     * @return array<string, Exam>
     *
     * @throws Refusal when one is not here, or there is something of it already
     */
    private function exams(User $user, array $person): array
    {
        $exams = [];
        foreach ($person['exams'] as $rows) {
            $exam = Exam::query()->where('slug', $rows['exam'])->first()
                ?? throw Archive::refusal("This installation has no exam called {$rows['exam']}.");
            if (isset($exams[$rows['exam']])) {
                throw Archive::refusal("This archive tells of {$exam->name} twice.");
            }
            if ($this->rows->any($exam, $user)) {
                throw Archive::refusal(
                    "There is something of {$exam->name} in your account already. ".
                    'Take the archive into an account in which there is nothing of it.',
                );
            }
            $this->refuseUnknown($exam, $rows);
            $exams[$rows['exam']] = $exam;
        }

        return $exams;
    }

    /**
     * @param  array<string, mixed>  $rows
     *
     * @throws Refusal
     */
    private function refuseUnknown(Exam $exam, array $rows): void
    {
        $here = $this->rows->questionsOf($exam, $rows);
        $now = Moment::now($this->clock);
        foreach (['gaps', 'revisits', 'notes', 'highlights', 'cards'] as $name) {
            $seen = [];
            foreach ($rows[$name] as $row) {
                if ($row['question'] !== null && ! isset($here[$row['question']])) {
                    throw Archive::refusal("This installation has no question {$row['question']} of {$exam->name}.");
                }
                $key = $row['question'] ?? $row['section'] ?? '';
                if (in_array($name, ['gaps', 'revisits', 'notes'], true) && isset($seen[$key])) {
                    throw Archive::refusal('This archive tells of the same question twice.');
                }
                $seen[$key] = true;
            }
        }
        $keys = ['readings' => 'section', 'outlooks' => 'day', 'weeks' => 'monday', 'recipes' => 'id'];
        foreach ($keys as $name => $key) {
            if (count(array_unique(array_column($rows[$name], $key))) !== count($rows[$name])) {
                throw Archive::refusal('This archive tells of the same thing twice.');
            }
        }
        foreach ($rows['cards'] as $card) {
            if (count(array_unique(array_column($card['looks'], 'uid'))) !== count($card['looks'])) {
                throw Archive::refusal('This archive tells of the same look twice.');
            }
            if ($card['made_ms'] > $now) {
                throw Archive::refusal('This archive tells of a time that has not come yet.');
            }
        }
        $zone = $rows['enrolment']['time_zone'] ?? 'UTC';
        if (! in_array($zone, timezone_identifiers_list(), true)) {
            throw Archive::refusal('This archive names a time zone that is none.');
        }
    }

    /** A new name of the same time: what was made earlier stays earlier. */
    private static function again(string $ulid): string
    {
        return substr($ulid, 0, 10).substr(strtolower((string) Str::ulid()), 10);
    }
}
