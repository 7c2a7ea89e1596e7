<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\TestItems;
use App\Http\Refusal;
use Illuminate\Support\LazyCollection;

/**
 * The one gate before keys, reasons and verdicts: every route that tells any goes through it. While a sitting of this
 * person with a clock still asks a question, running or paused, its key leaves by no other sitting and by nothing that
 * was made of one.
 */
final readonly class KeyGate
{
    /** Sittings whose questions are read with one statement. */
    private const AT_ONCE = 200;

    public function __construct(
        private RunningSittings $running,
        private Exposures $exposures,
        private TestItems $items,
    ) {
    }

    /**
     * Before the key and the reasons of one question.
     *
     * @param  bool  $reached  whether it was on screen in its sitting
     *
     * @throws Refusal
     */
    public function refuseQuestion(Sitting $sitting, int $position, bool $reached): void
    {
        $question = $this->items->questions($sitting->test_id)[$position] ?? throw Refusal::notFound();
        $holder = $this->held($sitting)[$question] ?? null;
        if ($holder !== null) {
            throw self::refusal($holder, 'this question');
        }
        if (! $reached && ! isset($this->exposures->of($sitting->user_id, [$question])[$question])) {
            throw Refusal::conflict(
                'still_new',
                'You did not get to this question, so it is still new to you. It is new no more once you have seen '
                .'its answer.',
            );
        }
    }

    /**
     * Before all keys of a sitting at once.
     *
     * @throws Refusal
     */
    public function refuseWhole(Sitting $sitting): void
    {
        $holder = $this->holderOf($sitting);
        if ($holder !== null) {
            throw self::refusal($holder, 'some of these questions');
        }
    }

    /**
     * Before what came of a sitting. What was handed in while another one asks the same would tell who was right: a
     * few questions are left out of it, of most the whole waits.
     *
     * @throws Refusal
     */
    public function refuseResult(Sitting $sitting): void
    {
        $untold = $this->untold($sitting);
        if (2 * count($untold) > $sitting->questions) {
            throw self::refusal(reset($untold) ?: throw Refusal::notFound(), 'most of these questions');
        }
    }

    /**
     * Questions of a sitting of which nothing is told that came of them: handed in while another sitting asked them.
     *
     * @return array<int, RunningSitting> by position: what still asks it
     */
    public function untold(Sitting $sitting): array
    {
        return $this->untoldOf($sitting, $this->held($sitting));
    }

    /**
     * Of some sittings, whose result waits.
     *
     * @param  iterable<Sitting>  $sittings  of one person
     * @return array<string, true> by sitting
     */
    public function withheld(int $user, iterable $sittings): array
    {
        $held = $this->running->questions($user);
        $withheld = [];
        foreach ($held === [] ? [] : LazyCollection::make($sittings)->chunk(self::AT_ONCE) as $some) {
            $tests = array_unique(array_map(fn (Sitting $sitting): string => $sitting->test_id, $some->all()));
            $asked = $this->items->questionsOf(array_values($tests));
            foreach ($some->filter(fn (Sitting $sitting): bool => $sitting->isHandedIn()) as $sitting) {
                if (self::untoldAmong($sitting, $asked[$sitting->test_id] ?? [], $held) !== []) {
                    $withheld[$sitting->id] = true;
                }
            }
        }

        return $withheld;
    }

    /**
     * Sittings of somebody whose result waits: no figure that is made of many sittings is made of them either.
     *
     * @return list<string>
     */
    public function waiting(int $user): array
    {
        $held = $this->running->questions($user);
        if ($held === []) {
            return [];
        }
        $since = min(array_map(fn (RunningSitting $running): int => $running->began, $held));

        return array_keys($this->withheld($user, Sitting::query()
            ->where('user_id', $user)
            ->where('status', Stage::HandedIn)
            ->where('ended_ms', '>', $since)
            ->get()));
    }

    /**
     * Questions whose keys are told by nothing that was made of them.
     *
     * @param  Sitting|null  $but  the sitting that asks
     * @return array<int, RunningSitting> by question: what still asks it
     */
    public function covered(int $user, ?Sitting $but = null): array
    {
        return $this->running->questions($user, $but?->id);
    }

    public static function whyCovered(RunningSitting $holder): string
    {
        return "“{$holder->name}” still asks this question, and its clock is not over. Its answer is shown after that.";
    }

    /**
     * @param  array<int, RunningSitting>  $held  by question
     * @return array<int, RunningSitting> by position
     */
    private function untoldOf(Sitting $sitting, array $held): array
    {
        return $held === [] ? [] : self::untoldAmong($sitting, $this->items->questions($sitting->test_id), $held);
    }

    /**
     * @param  array<int, int>  $asked  question by position
     * @param  array<int, RunningSitting>  $held  by question
     * @return array<int, RunningSitting> by position
     */
    private static function untoldAmong(Sitting $sitting, array $asked, array $held): array
    {
        $untold = [];
        foreach ($asked as $position => $question) {
            if (isset($held[$question]) && $held[$question]->withholds((int) $sitting->ended_ms)) {
                $untold[$position] = $held[$question];
            }
        }

        return $untold;
    }

    private function holderOf(Sitting $sitting): ?RunningSitting
    {
        $holder = null;
        $asked = array_flip($this->items->questions($sitting->test_id));
        foreach (array_intersect_key($this->held($sitting), $asked) as $one) {
            $holder = $holder?->earlier($one) ?? $one;
        }

        return $holder;
    }

    /** @return array<int, RunningSitting> by question */
    private function held(Sitting $sitting): array
    {
        return $this->running->questions($sitting->user_id, $sitting->id);
    }

    private static function refusal(RunningSitting $holder, string $what): Refusal
    {
        return Refusal::conflict(
            'held_back',
            "“{$holder->name}” still asks {$what}, and its clock is not over. Hand it in first; one that you deleted "
            .'counts as long as you can have it back, which is ten minutes.',
        );
    }
}
