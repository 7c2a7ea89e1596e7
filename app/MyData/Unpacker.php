<?php

declare(strict_types=1);

namespace App\MyData;

use App\Account\User;
use App\Clock\Moment;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Result\Settlement;
use ArrayObject;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;
use Throwable;

/**
 * Takes an archive in, for a person who has nothing of its exams yet: all of it, or nothing, and nobody waits for it.
 * What came of a sitting is not read but worked out anew from its events, by the same code as anybody's.
 */
final readonly class Unpacker
{
    /** Of SQL: something is there twice, or missing. */
    private const INTEGRITY = '23000';

    public function __construct(
        private PersonRows $rows,
        private SittingWriter $writer,
        private Settlement $settlement,
        private Staging $staging,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal with why it is not taken in */
    public function unpack(User $user, string $path): TakenInView
    {
        $archive = Archive::open($path);
        $person = $archive->person();
        $exams = $this->exams($user, $person);
        $staged = $this->staging->begin($user);
        try {
            $sittings = $this->bring(
                archive: $archive,
                told: $person['exams'],
                exams: $exams,
                staged: $staged,
            );
            DB::transaction(function () use ($exams, $staged, $user): void {
                // Somebody may have done something in the meantime, or brought the same archive twice.
                $this->refuseUnlessEmpty($exams, $user);
                DB::table('kept_estimates')
                    ->where('user_id', $user->id)
                    ->whereIn('exam_id', self::ids($exams))
                    ->delete();
                $this->staging->becomes($staged, $user);
            });
        } catch (Throwable $failed) {
            $this->staging->clear($staged);
            throw $failed;
        }

        return new TakenInView(
            exams: array_values(array_map(fn (Exam $exam): string => $exam->name, $exams)),
            sittings: $sittings,
            cards: array_sum(array_map(fn (array $rows): int => count($rows['cards']), $person['exams'])),
            notes: array_sum(array_map(fn (array $rows): int => count($rows['notes']), $person['exams'])),
        );
    }

    /**
     * @param  list<array<string, mixed>>  $told  of each exam
     * @param  array<string, Exam>  $exams
     * @return int how many sittings
     *
     * @throws Refusal
     */
    private function bring(Archive $archive, array $told, array $exams, User $staged): int
    {
        $recipes = $sittings = [];
        foreach ($told as $rows) {
            foreach ($rows['recipes'] as $recipe) {
                $recipes[$recipe['id']] ??= self::again($recipe['id']);
            }
        }
        foreach ($told as $rows) {
            $this->possibly(Archive::PERSON, fn () => $this->rows->write(
                candidacy: new Candidacy($staged, $exams[$rows['exam']]),
                rows: $rows,
                recipes: $recipes,
            ));
        }
        /** @var ArrayObject<string, array{string, string}> $tests */
        $tests = new ArrayObject();
        foreach ($archive->sittings() as $name => $sheet) {
            $exam = $exams[$sheet['exam']] ?? throw Archive::refusal("{$name} is of an exam that is not told of.");
            if (isset($sittings[$sheet['id']])) {
                throw Archive::refusal('This archive tells of the same sitting twice.');
            }
            $sittings[$sheet['id']] = self::again($sheet['id']);
            $this->possibly($name, fn () => $this->writer->write(
                candidacy: new Candidacy($staged, $exam),
                sheet: $sheet,
                id: $sittings[$sheet['id']],
                recipes: $recipes,
                tests: $tests,
            ));
        }
        foreach ($told as $rows) {
            $exam = $exams[$rows['exam']];
            // Attempts are of sittings, which are here only now.
            $this->possibly(Archive::PERSON, fn () => $this->rows->writeAttempts(
                candidacy: new Candidacy($staged, $exam),
                rows: $rows,
                sittings: $sittings,
            ));
            $this->settlement->broughtAll($staged->id, $exam->id);
        }

        return count($sittings);
    }

    /**
     * Writes a part of an archive, or refuses the whole: whatever somebody made up that no page would send, events
     * that fit no test or no clock, choices that cannot be read, the same thing twice.
     *
     * @param  string  $name  of the file that tells of it
     * @param  Closure(): void  $work
     *
     * @throws Refusal
     */
    private function possibly(string $name, Closure $work): void
    {
        try {
            DB::transaction($work);
        } catch (Refusal $refusal) {
            throw $refusal;
        } catch (Throwable $impossible) {
            // A database that fails for reasons of its own says nothing of the archive.
            if ($impossible instanceof QueryException && $impossible->getCode() !== self::INTEGRITY) {
                throw $impossible;
            }
            report($impossible);
            throw Archive::refusal("{$name} tells of what cannot have happened.");
        }
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
            $this->refuseUnlessEmpty([$exam], $user);
            $this->refuseUnknown($exam, $rows);
            $exams[$rows['exam']] = $exam;
        }

        return $exams;
    }

    /**
     * @param  array<Exam>  $exams
     *
     * @throws Refusal
     */
    private function refuseUnlessEmpty(array $exams, User $user): void
    {
        foreach ($exams as $exam) {
            if ($this->rows->any(new Candidacy($user, $exam))) {
                throw Archive::refusal(
                    "There is something of {$exam->name} in your account already. ".
                    'Take the archive into an account in which there is nothing of it.',
                );
            }
        }
    }

    /**
     * @param  array<Exam>  $exams
     * @return list<int>
     */
    private static function ids(array $exams): array
    {
        return array_values(array_map(fn (Exam $exam): int => $exam->id, $exams));
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
        foreach (['gaps', 'revisits', 'notes', 'highlights', 'exposures', 'cards'] as $name) {
            $seen = [];
            // Archives of before keys that were shown were kept tell of none.
            foreach ($rows[$name] ?? [] as $row) {
                if ($row['question'] !== null && ! isset($here[$row['question']])) {
                    throw Archive::refusal("This installation has no question {$row['question']} of {$exam->name}.");
                }
                $ofText = in_array($name, ['notes', 'highlights'], true);
                if ($ofText && ($row['question'] === null) === ($row['section'] === null)) {
                    throw Archive::refusal('This archive tells of words that are of no text, or of two.');
                }
                if ($name === 'highlights' && $row['from'] >= $row['to']) {
                    throw Archive::refusal('This archive tells of a mark that ends before it begins.');
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
