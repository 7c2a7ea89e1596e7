<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\NumberText;
use Uplandia\Core\Marking\PlainText;

/** A written answer that the candidate marks against a rubric. */
final readonly class Written extends Question
{
    public BigRational $possible;

    /**
     * @param  array<string, BigRational>  $rubric  criterion id => points it can give, more than 0
     *
     * @throws InvalidQuestion
     */
    public function __construct(public array $rubric)
    {
        $possible = BigRational::zero();
        foreach ($rubric as $id => $points) {
            if ($points->getSign() <= 0) {
                throw InvalidQuestion::because("Criterion \"{$id}\" must be worth more than 0 points.");
            }
            $possible = $possible->plus($points);
        }
        if ($rubric === []) {
            throw InvalidQuestion::because('A written answer needs a rubric.');
        }
        $this->possible = $possible;
    }

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        $rubric = [];
        foreach ($answer->each('rubric') as $criterion) {
            $rubric[$criterion->text('id')] = $criterion->exact('points', '1');
        }

        return new self($rubric);
    }

    public function kind(): Kind
    {
        return Kind::Written;
    }

    protected function credit(array $response, ?array $rubricMarks): Credit
    {
        if (PlainText::isEmpty(Reading::text($response, 'text'))) {
            return Credit::leftBlank();
        }
        if ($rubricMarks === null) {
            return Credit::pending();
        }
        $given = BigRational::zero();
        foreach ($rubricMarks as $criterion => $points) {
            $possible =
                $this->rubric[$criterion] ?? throw MalformedResponse::unknown('a criterion', (string) $criterion);
            $exact = is_float($points) && ! is_finite($points) ? null : NumberText::parse((string) $points);
            if ($exact === null || $exact->getSign() < 0 || $exact->isGreaterThan($possible)) {
                $shown = $possible->toScale(2, RoundingMode::HALF_UP);
                throw MalformedResponse::because(
                    "Criterion \"{$criterion}\" gives 0 to {$shown} points.",
                );
            }
            $given = $given->plus($exact);
        }

        return Credit::of($given->dividedBy($this->possible));
    }

    /** Its parts are the rubric's, and only its writer judges them. */
    protected function judge(array $response): array
    {
        return [];
    }

    public function right(Chance $chance): array
    {
        return ['text' => 'We stop, think, and go on together.'];
    }

    public function wrong(Chance $chance, array $slips = []): array
    {
        return ['text' => 'Go on.'];
    }

    /**
     * The points a made-up person gives their own answer.
     *
     * @return array<string, string> by criterion
     */
    public function rubricMarks(bool $right, Chance $chance): array
    {
        return array_map(
            fn (BigRational $points): string => $right || $chance->happens(0.4) ? (string) $points : '0',
            $this->rubric,
        );
    }
}
