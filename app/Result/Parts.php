<?php

declare(strict_types=1);

namespace App\Result;

use App\Question\NumberBody;
use App\Question\OptionsBody;
use App\Question\OptionView;
use App\Question\OrderingBody;
use App\Question\PictureBody;
use App\Question\QuestionView;
use App\Question\RowsBody;
use App\Question\TypedGapsBody;
use App\Question\WrittenBody;
use Uplandia\Core\Marking\Verdict;
use Uplandia\Core\Question\Number;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\QuestionState;

/** The parts of an explained question in the order in which they were shown, each with its verdict and its reason. */
final readonly class Parts
{
    /**
     * @param  array<string, mixed>  $withheld
     * @return list<PartView>
     */
    public function of(QuestionView $view, Question $question, array $withheld, QuestionState $state): array
    {
        $verdicts = $question->verdicts($state->response);
        $told = new AnswerTexts($withheld, $state->response ?? []);

        return match (true) {
            $view->body instanceof OptionsBody => $this->options(
                body: $view->body,
                told: $told,
                verdicts: $verdicts,
                state: $state,
            ),
            $view->body instanceof RowsBody => $this->rows($view->body, $told, $verdicts),
            $view->body instanceof TypedGapsBody => $this->gaps($view->body, $told, $verdicts),
            $view->body instanceof OrderingBody => $this->ordering($view->body, $told, $verdicts),
            $view->body instanceof NumberBody => $this->number($view->body, $told, $verdicts),
            $view->body instanceof PictureBody => $this->picture($told, $verdicts),
            $view->body instanceof WrittenBody => [],
        };
    }

    public function tolerance(Question $question): ?string
    {
        return $question instanceof Number && $question->tolerance->getSign() > 0
            ? Shown::decimal($question->tolerance)
            : null;
    }

    /**
     * @param  array<string, Verdict>  $verdicts
     * @return list<PartView>
     */
    private function options(OptionsBody $body, AnswerTexts $told, array $verdicts, QuestionState $state): array
    {
        return array_map(
            fn (OptionView $option): PartView => new PartView(
                id: $option->id,
                role: PartRole::Option,
                text: $option->text,
                why: $told->why($option->id),
                verdict: $verdicts[$option->id],
                ruledOut: in_array($option->id, $state->struck, true),
            ),
            $body->options,
        );
    }

    /**
     * @param  array<string, Verdict>  $verdicts
     * @return list<PartView>
     */
    private function rows(RowsBody $body, AnswerTexts $told, array $verdicts): array
    {
        $parts = [];
        foreach ($body->rows as $row) {
            $names = array_column($row->choices ?? $body->choices, 'text', 'id');
            $parts[] = new PartView(
                id: $row->id,
                role: PartRole::Row,
                text: $row->text,
                why: $told->why($row->id),
                verdict: $verdicts[$row->id],
                right: $names[$told->key($row->id)] ?? '',
                mine: $names[$told->responded('rows', $row->id)] ?? null,
            );
        }

        return $parts;
    }

    /**
     * @param  array<string, Verdict>  $verdicts
     * @return list<PartView>
     */
    private function gaps(TypedGapsBody $body, AnswerTexts $told, array $verdicts): array
    {
        return array_map(
            fn (string $gap): PartView => new PartView(
                id: $gap,
                role: PartRole::Gap,
                text: '',
                why: $told->why($gap),
                verdict: $verdicts[$gap],
                right: $told->accepted($gap),
                mine: $told->responded('gaps', $gap),
            ),
            $body->gaps,
        );
    }

    /**
     * @param  array<string, Verdict>  $verdicts
     * @return list<PartView> in the right order
     */
    private function ordering(OrderingBody $body, AnswerTexts $told, array $verdicts): array
    {
        $texts = array_column($body->items, 'text', 'id');

        return array_map(
            fn (string $item): PartView => new PartView(
                id: $item,
                role: PartRole::Item,
                text: $texts[$item] ?? '',
                why: $told->why($item),
                verdict: $verdicts[$item],
                mine: $told->place($item),
            ),
            $told->order(),
        );
    }

    /**
     * @param  array<string, Verdict>  $verdicts
     * @return list<PartView>
     */
    private function number(NumberBody $body, AnswerTexts $told, array $verdicts): array
    {
        $unit = $told->unit() ?? ($body->suffix ?? '');
        $with = fn (string $value): string => trim("{$value} {$unit}");
        $typed = $told->typed();
        $parts = [
            new PartView(
                id: Number::WHOLE,
                role: PartRole::Number,
                text: '',
                why: '',
                verdict: $verdicts[Number::WHOLE],
                right: $with($told->value()),
                mine: $typed === null ? null : trim("{$typed} ".($told->typedUnit() ?? ($body->suffix ?? ''))),
            ),
        ];
        foreach ($told->slips() as $i => ['value' => $value, 'why' => $why]) {
            $parts[] = new PartView(
                id: "slip-{$i}",
                role: PartRole::Slip,
                text: $with($value),
                why: $why,
                verdict: $verdicts["slip-{$i}"],
            );
        }

        return $parts;
    }

    /**
     * @param  array<string, Verdict>  $verdicts
     * @return list<PartView>
     */
    private function picture(AnswerTexts $told, array $verdicts): array
    {
        $parts = [];
        foreach (['targets' => PartRole::Target, 'decoys' => PartRole::Decoy] as $name => $role) {
            foreach ($told->regions($name) as $region) {
                $parts[] = new PartView(
                    id: $region['id'],
                    role: $role,
                    text: '',
                    why: $region['why'],
                    verdict: $verdicts[$region['id']],
                    region: RegionView::of($region),
                );
            }
        }

        return $parts;
    }
}
