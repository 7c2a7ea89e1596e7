<?php

declare(strict_types=1);

namespace App\Library;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use stdClass;

/**
 * What a candidate writes beside a text and marks in it: of a question, or of a page of the handbook. Which one is
 * told by user_id, exam_id, and question_id or section.
 *
 * @phpstan-type Text array<string, int|string>
 */
final readonly class Margins
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * One note for each text; an empty one takes it away.
     *
     * @param  Text  $of
     */
    public function note(array $of, string $note): void
    {
        $mine = self::at('notes', $of);
        if ($note === '') {
            $mine->delete();
        } elseif ($mine->update(['body' => $note, 'updated_at' => $this->clock->now()]) === 0) {
            DB::table('notes')->insert(['body' => $note] + $of + $this->times());
        }
    }

    /**
     * All highlights that a text has from now on.
     *
     * @param  Text  $of
     * @param  list<HighlightView>  $highlights
     */
    public function highlight(array $of, array $highlights): void
    {
        $rows = array_map(
            fn (HighlightView $one): array => [
                'part' => $one->part,
                'kind' => $one->kind->value,
                'from' => $one->from,
                'to' => $one->to,
                'quote' => $one->quote,
                'note' => $one->note,
            ] + $of + $this->times(),
            $highlights,
        );
        DB::transaction(function () use ($of, $rows): void {
            self::at('highlights', $of)->delete();
            foreach (array_chunk($rows, 50) as $chunk) {
                DB::table('highlights')->insert($chunk);
            }
        });
    }

    public static function highlightOf(stdClass $row): HighlightView
    {
        return new HighlightView(
            part: (string) $row->part,
            from: (int) $row->from,
            to: (int) $row->to,
            kind: HighlightKind::from((string) $row->kind),
            quote: (string) $row->quote,
            note: (string) $row->note,
        );
    }

    /** @param  Text  $of */
    public static function at(string $table, array $of): Builder
    {
        return DB::table($table)->where($of);
    }

    /** @return array{created_at: mixed, updated_at: mixed} */
    private function times(): array
    {
        return ['created_at' => $this->clock->now(), 'updated_at' => $this->clock->now()];
    }
}
