<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\Exam;
use App\Question\Topic;
use Illuminate\Support\Collection;

/** The topic tree of an exam. */
final readonly class Syllabus
{
    /** @param  Collection<int, Topic>  $topics */
    private function __construct(private Collection $topics)
    {
    }

    public static function of(Exam $exam): self
    {
        return new self($exam->topics()->get());
    }

    /** @return Collection<int, Topic> */
    public function tops(): Collection
    {
        return $this->topics->whereNull('parent_id')->values();
    }

    /** @return Collection<int, Topic> */
    public function under(Topic $top): Collection
    {
        return $this->topics->where('parent_id', $top->id)->values();
    }

    public function topOf(int $topicId): Topic
    {
        $topic = $this->topics->firstWhere('id', $topicId);
        assert($topic instanceof Topic);
        $parent = $topic->parent_id === null ? $topic : $this->topics->firstWhere('id', $topic->parent_id);
        assert($parent instanceof Topic);

        return $parent;
    }

    public function get(int $topicId): Topic
    {
        $topic = $this->topics->firstWhere('id', $topicId);
        assert($topic instanceof Topic);

        return $topic;
    }

    /**
     * Chosen topics, each with the subtopics that are meant.
     *
     * @param  list<string>  $codes
     * @return array<int, list<int>> top topic id => subtopic ids, in the order of the blueprint
     *
     * @throws Refusal for a code that this exam does not have
     */
    public function chosen(array $codes): array
    {
        $wanted = [];
        foreach ($codes as $code) {
            $topic = $this->topics->firstWhere('code', $code);
            if (! $topic instanceof Topic) {
                throw Refusal::unmet('unknown_topic', 'This exam has no topic "'.mb_strimwidth($code, 0, 40, '…').'". Reload the page and choose from those it has.');
            }
            foreach ($topic->parent_id === null ? $this->under($topic)->push($topic) : [$topic] as $meant) {
                $wanted[$meant->id] = true;
            }
        }
        $chosen = [];
        foreach ($this->tops() as $top) {
            $ids = $this->under($top)->push($top)->pluck('id')->filter(fn (int $id): bool => isset($wanted[$id]))->values()->all();
            if ($ids !== []) {
                $chosen[$top->id] = $ids;
            }
        }

        return $chosen;
    }
}
