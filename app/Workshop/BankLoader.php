<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Handbook\HandbookSection;
use App\Handbook\ReferenceTable;
use App\Media\MediaStore;
use App\Question\Exam;
use App\Question\Tallies;
use App\Question\TextSearch;
use App\Question\Topic;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filter\TagFilter;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Question;

/**
 * Takes an exam's folder of text files into the bank. Loading again adds versions only where something changed.
 *
 * @phpstan-import-type Entry from QuestionEntry
 * @phpstan-import-type UnitEntry from QuestionFile
 * @phpstan-import-type Sheet from ExamFolder
 * @phpstan-import-type PaperSheet from ExamFolder
 */
final readonly class BankLoader
{
    public function __construct(
        private MediaStore $media,
        private TextSearch $search,
        private Tallies $tallies,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param  string  $folder  as ExamFolder reads it
     * @return array{slug: string, questions: int, changed: int}
     *
     * @throws InvalidBank with every fault found; then nothing has been written
     */
    public function load(string $folder): array
    {
        $read = ExamFolder::read($folder, $this->names(...));

        return DB::transaction(function () use ($read): array {
            $exam = $this->exam($read->sheet);
            $this->media->keep($exam, $read->shelf);
            $this->pages(HandbookSection::class, $exam, $read->handbook);
            $this->pages(
                ReferenceTable::class,
                $exam,
                array_map(fn (array $table): array => array_diff_key($table, ['chapter' => 0]), $read->tables),
            );
            $changed = $this->questions($exam, $read->entries, $this->units($exam, $read->units));
            $this->retireAllBut($exam, array_column($read->entries, 'code'));
            $this->tallies->renew($exam->id);
            $this->papers($exam, $read->papers);
            SeriesSheets::load($exam, $read->series);

            return ['slug' => $exam->slug, 'questions' => count($read->entries), 'changed' => $changed];
        });
    }

    /** @param  Sheet  $sheet */
    private function exam(array $sheet): Exam
    {
        $exam = Exam::query()->updateOrCreate(
            ['slug' => $sheet['slug']],
            [
                'name' => $sheet['name'],
                'summary' => $sheet['summary'],
                'rules' => $sheet['rules'],
                // Whoever does not say stands behind the others, and keeps the place that they have.
                'position' => $sheet['position']
                    ?? Exam::query()->where('slug', $sheet['slug'])->value('position')
                    ?? (int) Exam::query()->max('position') + 1,
            ],
        );
        $position = 0;
        foreach ($sheet['topics'] as $topic) {
            $top = $this->topic(exam: $exam, parent: null, topic: $topic, position: $position++);
            foreach ($topic['subtopics'] as $subtopic) {
                $this->topic(exam: $exam, parent: $top->id, topic: $subtopic, position: $position++);
            }
        }

        return $exam;
    }

    /** @param  array{code: string, name: string, weight?: string}  $topic */
    private function topic(Exam $exam, ?int $parent, array $topic, int $position): Topic
    {
        return Topic::query()->updateOrCreate(
            ['exam_id' => $exam->id, 'code' => $topic['code']],
            [
                'parent_id' => $parent,
                'name' => $topic['name'],
                'weight' => $topic['weight'] ?? null,
                'position' => $position,
            ],
        );
    }

    /**
     * @param  class-string<HandbookSection>|class-string<ReferenceTable>  $model
     * @param  list<array<string, mixed>>  $pages
     */
    private function pages(string $model, Exam $exam, array $pages): void
    {
        foreach ($pages as $position => $page) {
            $model::query()
                ->updateOrCreate(
                    ['exam_id' => $exam->id, 'code' => $page['code']],
                    $page + ['position' => $position],
                );
        }
        $model::query()->where('exam_id', $exam->id)->whereNotIn('code', array_column($pages, 'code'))->delete();
    }

    /**
     * @param  list<UnitEntry>  $units
     * @return array<string, object{id: int, version_id: int}> by code
     */
    private function units(Exam $exam, array $units): array
    {
        $current = DB::table('units')
            ->leftJoin('unit_versions', 'unit_versions.id', '=', 'units.version_id')
            ->where('exam_id', $exam->id)
            ->get(['units.id', 'code', 'units.version_id', 'number', 'shown'])
            ->keyBy('code');
        $kept = [];
        foreach ($units as $unit) {
            $before = $current[$unit['code']] ?? null;
            $id =
                $before === null
                    ? DB::table('units')->insertGetId([
                        'exam_id' => $exam->id,
                        'code' => $unit['code'],
                        'kind' => $unit['kind'],
                    ])
                    : (int) $before->id;
            $version = (int) ($before->version_id ?? 0);
            if ($before?->shown !== ($shown = self::json($unit['shown']))) {
                $version = DB::table('unit_versions')->insertGetId([
                    'unit_id' => $id,
                    'number' => 1 + (int) ($before->number ?? 0),
                    'shown' => $shown,
                    'created_at' => $this->clock->now(),
                ]);
            }
            DB::table('units')
                ->where('id', $id)
                ->update(['kind' => $unit['kind'], 'version_id' => $version]);
            $kept[$unit['code']] = (object) ['id' => $id, 'version_id' => $version];
        }

        return $kept;
    }

    /**
     * Names of the parts that an exam's questions have now.
     *
     * @return array<string, PartNames> by code
     */
    private function names(string $slug): array
    {
        return DB::table('questions')
            ->join('exams', 'exams.id', '=', 'questions.exam_id')
            ->join('question_versions', 'question_versions.id', '=', 'questions.version_id')
            ->where('exams.slug', $slug)
            ->get(['code', 'shown', 'withheld'])
            ->mapWithKeys(
                fn (object $row): array => [
                    (string) $row->code => PartNames::after(
                        (array) json_decode((string) $row->shown, true),
                        (array) json_decode((string) $row->withheld, true),
                    ),
                ],
            )
            ->all();
    }

    /**
     * @param  list<Entry>  $entries
     * @param  array<string, object{id: int, version_id: int}>  $units
     * @return int how many are new or changed
     */
    private function questions(Exam $exam, array $entries, array $units): int
    {
        $topics = Topic::query()->where('exam_id', $exam->id)->get()->keyBy('code');
        $current = DB::table('questions')
            ->leftJoin('question_versions', 'question_versions.id', '=', 'questions.version_id')
            ->where('exam_id', $exam->id)
            ->get([
                'questions.id',
                'code',
                'number',
                'question_versions.topic_id',
                'question_versions.kind',
                'question_versions.difficulty',
                'tags',
                'marks',
                'shown',
                'withheld',
                'unit_version_id',
                'retired_at',
                'unit_place',
            ])
            ->keyBy('code');
        $changed = 0;
        foreach ($entries as $entry) {
            $topic =
                $topics[$entry['topic']] ??
                throw InvalidBank::with(["{$entry['code']}: there is no subtopic \"{$entry['topic']}\"."]);
            $unit = $units[$entry['unit'] ?? ''] ?? null;
            $before = $current[$entry['code']] ?? null;
            $version = [
                'topic_id' => $topic->id,
                'kind' => $entry['kind'],
                'difficulty' => $entry['difficulty'],
                'tags' => self::json($entry['tags']),
                'marks' => $entry['marks'],
                'shown' => self::json($entry['shown']),
                'withheld' => self::json($entry['withheld']),
                'unit_version_id' => $unit?->version_id,
            ];
            $same = $before !== null && array_intersect_key((array) $before, $version) == $version;
            if ($same && $before->retired_at === null && (int) $before->unit_place === $entry['place']) {
                continue;
            }
            $id = $this->question(
                exam: $exam,
                topic: $topic,
                unit: $unit?->id,
                entry: $entry,
                id: $before === null ? null : (int) $before->id,
            );
            if (! $same) {
                $this->addVersion($id, 1 + (int) ($before->number ?? 0), $version);
                $this->rate($id, $entry);
                $changed++;
            }
        }

        return $changed;
    }

    /** @param  array<string, mixed>  $version */
    private function addVersion(int $question, int $number, array $version): void
    {
        $id = DB::table('question_versions')->insertGetId(
            $version + [
                'question_id' => $question,
                'number' => $number,
                'created_at' => $this->clock->now(),
            ],
        );
        DB::table('questions')
            ->where('id', $question)
            ->update(['version_id' => $id]);
    }

    /** Of both levels: who looks for a topic finds what is under it. */
    private static function topicNames(Topic $topic): string
    {
        $top = $topic->parent_id === null ? null : Topic::query()->find($topic->parent_id);

        return $top === null ? $topic->name : "{$top->name} {$topic->name}";
    }

    /**
     * Until a cohort has answered this version, it is as difficult as its author says.
     *
     * @param  Entry  $entry
     */
    private function rate(int $question, array $entry): void
    {
        $core = Question::of(Kind::from($entry['kind']), $entry['shown'], $entry['withheld']);
        DB::table('questions')
            ->where('id', $question)
            ->update(['b' => Difficulty::from($entry['difficulty'])->b(), 'luck' => $core->luck()]);
    }

    /** @param  Entry  $entry */
    private function question(Exam $exam, Topic $topic, ?int $unit, array $entry, ?int $id): int
    {
        $row = [
            'topic_id' => $topic->id,
            'unit_id' => $unit,
            'unit_place' => $entry['place'],
            'kind' => $entry['kind'],
            'difficulty' => $entry['difficulty'],
            'retired_at' => null,
            'updated_at' => $this->clock->now(),
        ];
        if ($id === null) {
            $id = DB::table('questions')->insertGetId(
                $row + [
                    'exam_id' => $exam->id,
                    'code' => $entry['code'],
                    'created_at' => $this->clock->now(),
                ],
            );
        } else {
            DB::table('questions')->where('id', $id)->update($row);
            // How difficult the cohort finds it is not the author's to say.
            DB::table('question_tags')->where('question_id', $id)->where('family', '!=', TagFilter::FOUND)->delete();
            // Standings repeat the topic so that pools are counted from one index.
            DB::table('standings')
                ->where('question_id', $id)
                ->where('topic_id', '!=', $topic->id)
                ->update(['topic_id' => $topic->id]);
        }
        $shown = $this->unitTexts($unit);
        $tags = array_map(
            fn (string $family, string $value): array => [$family, $value],
            array_keys($entry['tags']),
            $entry['tags'],
        );
        foreach (Holdings::of($entry, $shown) as $held) {
            $tags[] = [TagFilter::HOLDS, $held];
        }
        foreach (array_unique((array) ($entry['withheld']['references'] ?? [])) as $section) {
            $tags[] = [TagFilter::READS, $section];
        }
        DB::table('question_tags')->insert(
            array_map(
                fn (array $tag): array => ['question_id' => $id, 'family' => $tag[0], 'value' => $tag[1]],
                $tags,
            ),
        );
        $this->search->keep($id, SearchableText::of($entry, self::topicNames($topic), $shown));

        return $id;
    }

    /** @return array<mixed> what the unit of a question shows */
    private function unitTexts(?int $unit): array
    {
        $shown = DB::table('units')
            ->join('unit_versions', 'unit_versions.id', '=', 'units.version_id')
            ->where('units.id', $unit)
            ->value('shown');

        return is_string($shown) ? (array) json_decode($shown, true) : [];
    }

    /**
     * What has left the folder is asked no more; sittings that hold it keep it.
     *
     * @param  list<string>  $codes
     */
    private function retireAllBut(Exam $exam, array $codes): void
    {
        $gone = DB::table('questions')
            ->where('exam_id', $exam->id)
            ->whereNull('retired_at')
            ->pluck('id', 'code')
            ->diffKeys(array_flip($codes));
        foreach ($gone as $id) {
            DB::table('questions')
                ->where('id', $id)
                ->update(['retired_at' => $this->clock->now()]);
            $this->search->forget((int) $id);
        }
    }

    /** @param  list<PaperSheet>  $papers */
    private function papers(Exam $exam, array $papers): void
    {
        $ids = DB::table('questions')->where('exam_id', $exam->id)->pluck('id', 'code');
        foreach ($papers as $paper) {
            DB::table('papers')->updateOrInsert(
                ['exam_id' => $exam->id, 'code' => $paper['code']],
                ['title' => $paper['title']],
            );
            $id = DB::table('papers')->where('exam_id', $exam->id)->where('code', $paper['code'])->value('id');
            $rows = [];
            foreach ($paper['sections'] as $section => $codes) {
                foreach ($codes as $code) {
                    $question =
                        $ids[$code] ??
                        throw InvalidBank::with(["papers/{$paper['code']}.yaml: there is no question \"{$code}\"."]);
                    $rows[] = [
                        'paper_id' => $id,
                        'position' => count($rows),
                        'section' => (string) $section,
                        'question_id' => $question,
                    ];
                }
            }
            // A test made from the paper keeps its own list, so the paper itself may be written anew.
            DB::table('paper_items')->where('paper_id', $id)->delete();
            DB::table('paper_items')->insert($rows);
        }
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}
