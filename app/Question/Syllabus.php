<?php

declare(strict_types=1);

namespace App\Question;

use App\Http\Refusal;
use Illuminate\Support\Facades\DB;

/** The topic tree of an exam, found by id and by code. */
final readonly class Syllabus
{
    /**
     * @param  array<int, SyllabusTopic>  $topics  by id, in the order of the blueprint
     * @param  array<string, int>  $ids  by code
     * @param  array<int, list<SyllabusTopic>>  $under  by id of the topic above; those at the top under 0
     */
    private function __construct(private array $topics, private array $ids, private array $under)
    {
    }

    public static function of(Exam $exam): self
    {
        $topics = $ids = $under = [];
        $rows = DB::table('topics')
            ->where('exam_id', $exam->id)
            ->orderBy('position')
            ->get(['id', 'parent_id', 'code', 'name', 'weight', 'questions', 'alone']);
        foreach ($rows as $row) {
            $topic = new SyllabusTopic(
                id: (int) $row->id,
                parent: $row->parent_id === null ? null : (int) $row->parent_id,
                code: (string) $row->code,
                name: (string) $row->name,
                weight: $row->weight,
                questions: (int) $row->questions,
                alone: (int) $row->alone,
            );
            $topics[$topic->id] = $topic;
            $ids[$topic->code] = $topic->id;
            $under[$topic->parent ?? 0][] = $topic;
        }

        return new self($topics, $ids, $under);
    }

    /** @return list<SyllabusTopic> */
    public function tops(): array
    {
        return $this->under[0] ?? [];
    }

    /** @return list<SyllabusTopic> */
    public function under(SyllabusTopic $top): array
    {
        return $this->under[$top->id] ?? [];
    }

    /** Live questions of a topic and of all that is under it. */
    public function questionsOf(SyllabusTopic $topic): int
    {
        return $topic->questions + array_sum(array_column($this->under($topic), 'questions'));
    }

    /** @return array<int, SyllabusTopic> by id, in the order of the blueprint */
    public function all(): array
    {
        return $this->topics;
    }

    public function get(int $topicId): SyllabusTopic
    {
        return $this->topics[$topicId];
    }

    /** The topic of a code that the exam has. */
    public function named(string $code): SyllabusTopic
    {
        return $this->topics[$this->ids[$code]];
    }

    public function topOf(int $topicId): SyllabusTopic
    {
        $topic = $this->topics[$topicId];

        return $topic->parent === null ? $topic : $this->topics[$topic->parent];
    }

    /**
     * Chosen topics, each with the subtopics that are meant.
     *
     * @param  list<string>|null  $codes  null: all
     * @return array<int, list<int>> top topic id => topic ids, both in the order of the blueprint
     *
     * @throws Refusal for a code that this exam does not have
     */
    public function chosen(?array $codes): array
    {
        $wanted = [];
        foreach ($codes ?? array_keys($this->ids) as $code) {
            $topic =
                $this->topics[$this->ids[$code] ?? 0] ??
                throw Refusal::unmet(
                    'unknown_topic',
                    'This exam has no topic "'.
                        mb_strimwidth((string) $code, 0, 40, '…').
                        '". '.
                        'Reload the page and choose from those it has.',
                );
            foreach ([$topic, ...$this->under($topic)] as $meant) {
                $wanted[$meant->id] = true;
            }
        }
        $chosen = [];
        foreach ($this->tops() as $top) {
            $ids = array_map(fn (SyllabusTopic $topic): int => $topic->id, [...$this->under($top), $top]);
            $meant = array_values(array_filter($ids, fn (int $id): bool => isset($wanted[$id])));
            if ($meant !== []) {
                $chosen[$top->id] = $meant;
            }
        }

        return $chosen;
    }
}
