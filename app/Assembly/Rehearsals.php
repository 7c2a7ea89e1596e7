<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Section;
use Uplandia\Core\Assembly\SectionDraw;
use Uplandia\Core\Assembly\Seed;

/** Full tests by the blueprint, drawn fresh, or one section of it: sat under the exam's rules. */
final readonly class Rehearsals
{
    public function __construct(private Bank $bank, private HoldsBack $running)
    {
    }

    /**
     * @param  string|null  $section  code of the only one; null: all
     * @param  string|null  $seed  the same seed over the same bank gives the same test; null: a new one
     *
     * @throws Refusal when the bank lacks what the blueprint asks for
     */
    public function build(Candidacy $candidacy, ?string $section, ?string $seed = null): Test
    {
        $blueprint = $candidacy->exam->blueprint();
        try {
            $blueprint = $section === null ? $blueprint : $blueprint->only($section);
        } catch (InvalidRecipe $unknown) {
            throw Refusal::unmet('unknown_section', $unknown->getMessage());
        }
        $syllabus = $candidacy->syllabus();
        $seed = new Seed($seed ?? Str::random(32));
        $sections = $lacks = [];
        foreach ($blueprint->sections as $part) {
            $drawn =
                $part->units === []
                    ? $this->alone(
                        candidacy: $candidacy,
                        section: $part,
                        syllabus: $syllabus,
                        seed: $seed,
                        used: $sections,
                        lacks: $lacks,
                    )
                    : $this->units(candidacy: $candidacy, section: $part, seed: $seed, lacks: $lacks);
            $sections += array_fill_keys($drawn, $part);
        }
        if ($lacks !== []) {
            throw Refusal::unmet(
                'bank_lacks',
                'The bank cannot make this rehearsal as the exam has it. '.implode(' ', $lacks),
            );
        }
        $items = NewItems::of(array_keys($sections), fn (int $question): array => [
            'marks' => (string) $sections[$question]->scheme->marks,
            'penalty' => (string) $sections[$question]->scheme->penalty,
            'section' => $sections[$question]->code,
        ]);
        $name = $section === null ? 'Rehearsal' : "Rehearsal, {$blueprint->sections[0]->name}";

        return DB::transaction(
            fn (): Test => Test::createWith(
                [
                    ...$candidacy->key(),
                    'of_exam' => true,
                    'section' => $section,
                    'title' => TestName::dated($name, $candidacy),
                    'mode' => Mode::Timed->value,
                    'seed' => $seed->value,
                ],
                $items,
                null,
            ),
        );
    }

    /**
     * @param  array<int, Section>  $used  question id => the section it stands in already
     * @param  list<string>  $lacks  added to
     * @return list<int> question ids, in the order of the test
     */
    private function alone(
        Candidacy $candidacy,
        Section $section,
        Syllabus $syllabus,
        Seed $seed,
        array $used,
        array &$lacks,
    ): array {
        $pools = $this->bank->pools(
            $this->bank->selection(
                candidacy: $candidacy,
                filters: new Filters(new KindFilter(...$section->kinds)),
            ),
            $this->running->heldBack($candidacy->user),
        );
        $tops = $syllabus->tops();
        $wanted = SectionDraw::byTopic(
            $section,
            array_map(fn (SyllabusTopic $topic): string => $topic->weight ?? '0', $tops),
        );
        $drawn = [];
        foreach ($tops as $i => $top) {
            $under = array_map(fn (SyllabusTopic $sub): int => $sub->id, [$top, ...$syllabus->under($top)]);
            $pool = Pool::together(array_values(array_intersect_key($pools, array_flip($under))))->only(
                fn (int $key): bool => $key > 0 && ! isset($used[$key]),
            );
            $draw = new SectionDraw($section, $seed->stream("draw:{$section->code}:{$top->code}"));
            $places = $draw->alone(count($pool->keys), $pool->seen, $wanted[$i]);
            if (count($places) < $wanted[$i]) {
                $lacks[] =
                    "{$section->name} asks for {$wanted[$i]} of {$top->name}; there are ".count($pool->keys).'.';
            }
            array_push($drawn, ...array_map(fn (int $place): int => $pool->keys[$place], $places));
        }

        return $seed->stream("order:{$section->code}")->shuffleArray($drawn);
    }

    /**
     * @param  list<string>  $lacks  added to
     * @return list<int> question ids, each unit whole and in order
     */
    private function units(Candidacy $candidacy, Section $section, Seed $seed, array &$lacks): array
    {
        $kinds = DB::table('units')
            ->where('exam_id', $candidacy->exam->id)
            ->whereIn('kind', array_keys($section->units))
            ->pluck('kind', 'id');
        $selection = $this->bank->selection($candidacy, new Filters());
        $asked = array_fill_keys($this->running->heldBack($candidacy->user), Bank::NOW);
        $ids = $sizes = $seen = [];
        foreach ($this->bank->units($selection, $asked + $selection->bank->seen()) as $unit => [, $size, $moment]) {
            $kind = $kinds[$unit] ?? null;
            if ($kind === null) {
                continue;
            }
            if ($moment !== null) {
                $seen[$kind][count($ids[$kind] ?? [])] = $moment;
            }
            $ids[$kind][] = $unit;
            $sizes[$kind][] = $size;
        }
        $places = (new SectionDraw($section, $seed->stream("draw:{$section->code}")))->units($sizes, $seen);
        if ($places === null) {
            $wanted = array_map(
                fn (string $sort, int $n): string => "{$n} × {$sort}",
                array_keys($section->units),
                $section->units,
            );
            $lacks[] =
                "{$section->name} asks for ".
                implode(', ', $wanted).
                " with {$section->questions} questions ".
                'together, which the units there are cannot make.';

            return [];
        }
        $keys = [];
        foreach ($places as $sort => $drawn) {
            array_push($keys, ...array_map(fn (int $place): int => -$ids[$sort][$place], $drawn));
        }

        return array_merge([], ...$this->bank->questions($keys));
    }
}
