<?php

declare(strict_types=1);

namespace App\Question;

use Brick\Math\BigRational;
use Uplandia\Core\Assembly\OptionOrder;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Shown;

/**
 * Shows questions in the orders of one sitting. A stored response names parts by id, so an order need not be stored:
 * it comes of the sitting's secret.
 *
 * @phpstan-type Part array{id: string, text: string, pinned?: bool, choices?: list<array{id: string, text: string}>}
 */
final readonly class QuestionShowing
{
    /**
     * @param  bool  $shuffled  whether the sitting has orders of its own
     * @param  bool  $voids  whether more than a limit may be chosen, and then counts nothing
     */
    public function __construct(private Seed $seed, private bool $shuffled, private bool $voids)
    {
    }

    /**
     * @param  array<mixed>  $shown  of the version
     * @param  string  $marks  exact
     * @param  string  $penalty  exact; "0": none
     */
    public function question(
        int $position,
        Kind $kind,
        array $shown,
        string $marks,
        string $penalty,
        ?string $unit,
    ): QuestionView {
        return new QuestionView(
            position: $position,
            marks: Shown::decimal(BigRational::of($marks)),
            penalty: $penalty === '0' ? null : $penalty,
            stem: is_string($shown['stem'] ?? null) ? $shown['stem'] : '',
            body: $this->body($position, $kind, $shown),
            unit: $unit,
        );
    }

    /** @param  array<mixed>  $shown */
    private function body(
        int $position,
        Kind $kind,
        array $shown,
    ): OptionsBody|RowsBody|OrderingBody|TypedGapsBody|NumberBody|PictureBody|WrittenBody {
        return match ($kind) {
            Kind::Single, Kind::Several => new OptionsBody(
                kind: $kind->value,
                options: self::options($this->ordered("options:{$position}", self::parts($shown, 'options'))),
                limit: is_int($shown['limit'] ?? null) ? $shown['limit'] : null,
                voids: $this->voids,
            ),
            Kind::TrueFalseGrid, Kind::Matching, Kind::Grouping, Kind::DropdownGaps => $this->rows(
                $position,
                $kind,
                $shown,
            ),
            Kind::Ordering => new OrderingBody(
                $kind->value,
                self::options($this->ordered("items:{$position}", self::parts($shown, 'items'))),
            ),
            Kind::TypedGaps => new TypedGapsBody($kind->value, array_column(self::parts($shown, 'gaps'), 'id')),
            Kind::Number => new NumberBody(
                $kind->value,
                is_string($shown['suffix'] ?? null) ? $shown['suffix'] : null,
                ($shown['asksUnit'] ?? false) === true,
            ),
            Kind::Picture => $this->picture($shown),
            Kind::Written => new WrittenBody($kind->value),
        };
    }

    /** @param  array<mixed>  $shown */
    private function rows(int $position, Kind $kind, array $shown): RowsBody
    {
        /** @var 'true_false_grid'|'matching'|'grouping'|'dropdown_gaps' $name */
        $name = $kind->value;
        $rows = self::parts($shown, 'rows');
        $choices = self::parts($shown, 'choices');
        // Gaps stand where the stem has them; true and false, and groups, have an order of their own.
        $rows = $kind === Kind::DropdownGaps ? $rows : $this->ordered("rows:{$position}", $rows);
        $choices = $kind === Kind::Matching ? $this->ordered("choices:{$position}", $choices) : $choices;

        return new RowsBody(
            $name,
            array_map(
                fn (array $row, int $place): RowView => new RowView(
                    $row['id'],
                    $row['text'],
                    isset($row['choices'])
                        ? self::options($this->ordered("choices:{$position}:{$place}", $row['choices']))
                        : null,
                ),
                $rows,
                array_keys($rows),
            ),
            self::options($choices),
        );
    }

    /** @param  array<mixed>  $shown */
    private function picture(array $shown): PictureBody
    {
        /** @var array{file: string, alt: string, width: int, height: int} $picture */
        $picture = $shown['picture'];

        return new PictureBody(
            Kind::Picture->value,
            new PictureView(
                file: $picture['file'],
                alt: $picture['alt'],
                width: $picture['width'],
                height: $picture['height'],
            ),
            is_int($shown['points'] ?? null) ? $shown['points'] : 1,
        );
    }

    /**
     * @param  list<Part>  $parts
     * @return list<Part>
     */
    private function ordered(string $purpose, array $parts): array
    {
        if (! $this->shuffled) {
            return $parts;
        }
        $byId = array_column($parts, null, 'id');
        $pinned = array_column(array_filter($parts, fn (array $part): bool => $part['pinned'] ?? false), 'id');
        $order = (new OptionOrder($this->seed->stream($purpose)))->of(array_column($parts, 'id'), $pinned);

        return array_map(fn (string $id): array => $byId[$id], $order);
    }

    /**
     * @param  list<Part>  $parts
     * @return list<OptionView>
     */
    private static function options(array $parts): array
    {
        return array_map(fn (array $part): OptionView => new OptionView($part['id'], $part['text']), $parts);
    }

    /**
     * @param  array<mixed>  $shown
     * @return list<Part>
     */
    private static function parts(array $shown, string $name): array
    {
        /** @var list<Part> $parts */
        $parts = is_array($shown[$name] ?? null) ? array_values($shown[$name]) : [];

        return $parts;
    }
}
