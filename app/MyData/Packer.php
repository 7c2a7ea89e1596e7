<?php

declare(strict_types=1);

namespace App\MyData;

use App\Account\User;
use App\Clock\Moment;
use App\Http\Csv;
use App\Http\Refusal;
use App\Media\MediaStore;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Sitting\KeyGate;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use RuntimeException;
use ZipArchive;

/**
 * Puts all that is a person's into an archive: JSON with its schemas for another installation, tables for a person to
 * read, drawings and pictures. Nothing of anybody else is in it, and no key that they may not see.
 */
final class Packer
{
    public const VERSION = 1;

    /** @var list<array{name: string, bytes: int, sha256: string}> */
    private array $files = [];

    private ZipArchive $zip;

    /** @var array<string, true> sittings of which nothing is told yet that came of them */
    private array $withheld = [];

    public function __construct(
        private readonly PersonRows $rows,
        private readonly KeyGate $gate,
        private readonly ClockInterface $clock,
    ) {
    }

    /** @return string the path of a file that is the caller's to delete */
    public function pack(User $user): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'uplandia-');
        $this->files = [];
        $this->zip = new ZipArchive();
        if ($this->zip->open($path, ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('An archive could not be begun.');
        }
        $candidacies = Exam::query()->orderBy('slug')->get()
            ->map(fn (Exam $exam): Candidacy => new Candidacy($user, $exam))
            ->filter($this->rows->any(...));
        $person = [
            'name' => $user->name,
            'extraTime' => $user->extra_time,
            'exams' => array_values($candidacies->map($this->rows->of(...))->all()),
        ];
        $this->refuseCovered($user);
        $this->withheld = $this->gate->withheld($user->id, Sitting::query()->where('user_id', $user->id)->lazy(200));
        $this->addJson(Archive::PERSON, $person);
        $this->addSittings($user);
        $this->addTables($user, $person['exams']);
        $this->addPictures($person['exams']);
        foreach (['person', 'sitting', 'manifest'] as $schema) {
            $this->add("schema/{$schema}.schema.json", Schema::text($schema));
        }
        $this->zip->addFromString('manifest.json', self::json([
            'format' => 'uplandia-archive',
            'version' => self::VERSION,
            'made_at' => Moment::text(Moment::now($this->clock)),
            'files' => $this->files,
        ]));
        $this->zip->close();

        return $path;
    }

    /** @throws Refusal where a card would tell what a test whose clock is not over still asks */
    private function refuseCovered(User $user): void
    {
        $covered = $this->gate->covered($user->id);
        $cards = DB::table('cards')->where('user_id', $user->id)->whereNotNull('question_id')->pluck('question_id');
        foreach ($covered === [] ? [] : $cards as $question) {
            $holder = $covered[(int) $question] ?? null;
            if ($holder !== null) {
                throw Refusal::conflict(
                    'held_back',
                    "A card of yours was made from a question that “{$holder->name}” still asks, and its clock is not "
                    .'over. Hand that in first, or delete it; then your data can be taken away whole.',
                );
            }
        }
    }

    private function addSittings(User $user): void
    {
        $ids = DB::table('sittings')
            ->where('user_id', $user->id)
            ->whereNull('deleted_at')
            ->orderBy('created_at')
            ->orderBy('id')
            ->pluck('id');
        foreach ($ids as $i => $id) {
            $sitting = SittingSheet::of((string) $id, isset($this->withheld[$id]));
            $this->addJson(sprintf('sittings/%05d.json', $i + 1), $sitting);
            $strokes = $sitting['scratch']['strokes'] ?? [];
            if ($strokes !== []) {
                $this->add(sprintf('media/drawing-%05d.svg', $i + 1), Drawing::svg($strokes));
            }
        }
    }

    /** @param  list<array<string, mixed>>  $exams */
    private function addTables(User $user, array $exams): void
    {
        $this->add('tables/answers.csv', Csv::of(
            ['exam', 'sitting', 'question', 'topic', 'number', 'outcome', 'marks', 'of', 'sureness', 'seconds', 'at'],
            $this->answers($user),
        ));
        $this->add('tables/sittings.csv', Csv::of(
            ['exam', 'sitting', 'mode', 'status', 'questions', 'answered', 'marks', 'of', 'begun', 'ended'],
            $this->sittings($user),
        ));
        $texts = $cards = [];
        foreach ($exams as $exam) {
            $slug = (string) $exam['exam'];
            foreach ((array) $exam['notes'] as $note) {
                $texts[] = [
                    $slug, Csv::text((string) $note['question']), Csv::text((string) $note['section']), 'note',
                    Csv::text((string) $note['body']),
                ];
            }
            foreach ((array) $exam['highlights'] as $one) {
                $texts[] = [
                    $slug, Csv::text((string) $one['question']), Csv::text((string) $one['section']), $one['kind'],
                    Csv::text(implode(': ', array_filter([(string) $one['quote'], (string) $one['note']]))),
                ];
            }
            foreach ((array) $exam['cards'] as $card) {
                $cards[] = [
                    $slug, Csv::text((string) $card['front']), Csv::text((string) $card['back']),
                    count($card['looks']),
                ];
            }
        }
        $this->add('tables/notes.csv', Csv::of(['exam', 'question', 'section', 'what', 'text'], $texts));
        $this->add('tables/cards.csv', Csv::of(['exam', 'front', 'back', 'looks'], $cards));
    }

    /** @return iterable<list<string|int|float|null>> */
    private function answers(User $user): iterable
    {
        $rows = DB::table('outcomes')
            ->join('exams', 'exams.id', '=', 'outcomes.exam_id')
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->join('topics', 'topics.id', '=', 'outcomes.topic_id')
            ->join('sittings', 'sittings.id', '=', 'outcomes.sitting_id')
            ->where('outcomes.user_id', $user->id)
            ->orderBy('settled_ms')
            ->orderBy('sitting_id')
            ->orderBy('outcomes.position')
            ->select([
                'exams.slug', 'sittings.name', 'questions.code', 'topics.name as topic', 'outcomes.position',
                'outcome',
                'outcomes.marks', 'outcomes.possible', 'sureness', 'outcomes.active_ms', 'settled_ms', 'sitting_id',
            ]);
        foreach ($rows->cursor() as $row) {
            if (isset($this->withheld[$row->sitting_id])) {
                continue;
            }
            yield [
                $row->slug, Csv::text($row->name), $row->code, Csv::text($row->topic), $row->position + 1,
                $row->outcome, $row->marks, $row->possible, $row->sureness, round($row->active_ms / 1000, 1),
                self::moment($row->settled_ms),
            ];
        }
    }

    /** @return iterable<list<string|int|float|null>> */
    private function sittings(User $user): iterable
    {
        $rows = DB::table('sittings')
            ->join('exams', 'exams.id', '=', 'sittings.exam_id')
            ->where('user_id', $user->id)
            ->whereNull('deleted_at')
            ->orderBy('sittings.created_at')
            ->orderBy('sittings.id')
            ->select(['exams.slug', 'sittings.*']);
        foreach ($rows->cursor() as $row) {
            yield [
                $row->slug, Csv::text($row->name), $row->mode, $row->status, $row->questions, $row->answered,
                isset($this->withheld[$row->id]) ? null : $row->marks, $row->possible,
                self::moment($row->started_ms), self::moment($row->ended_ms),
            ];
        }
    }

    /**
     * What cards and notes show.
     *
     * @param  list<array<string, mixed>>  $exams
     */
    private function addPictures(array $exams): void
    {
        preg_match_all('#\(/media/([a-z0-9]+\.[a-z0-9]+)#', self::json($exams), $found);
        foreach (array_unique($found[1]) as $name) {
            if (DB::table('media')->where('name', $name)->exists() && is_file(MediaStore::path($name))) {
                $this->add("media/{$name}", (string) file_get_contents(MediaStore::path($name)));
            }
        }
    }

    /** @param  array<mixed>  $value */
    private function addJson(string $name, array $value): void
    {
        $this->add($name, self::json($value));
    }

    private function add(string $name, string $contents): void
    {
        $this->zip->addFromString($name, $contents);
        $this->files[] = ['name' => $name, 'bytes' => strlen($contents), 'sha256' => hash('sha256', $contents)];
    }

    /** @param  array<mixed>  $value */
    private static function json(array $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    private static function moment(?int $ms): ?string
    {
        return $ms === null ? null : Moment::text($ms);
    }
}
