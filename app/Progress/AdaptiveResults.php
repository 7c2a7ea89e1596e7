<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\TestName;
use App\Result\ExpectedView;
use App\Result\TellsExpected;
use App\Sitting\Sitting;
use App\Sitting\SittingRepository;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Progress\Adaptive;
use Uplandia\Core\Progress\AdaptiveEnding;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\EventKind;

/** Works out from its events what an adaptive test has found out, by the difficulties as they are known now. */
final readonly class AdaptiveResults implements TellsExpected
{
    public function __construct(private AdaptiveTests $tests, private SittingRepository $repository)
    {
    }

    public function of(Sitting $sitting): ?ExpectedView
    {
        $sitting->loadMissing('test.exam', 'user');
        $most = $sitting->test->adaptive;
        if ($most === null) {
            return null;
        }
        $bank = $this->tests->bankOf($sitting);
        $answers = $this->tests->answers($sitting, $bank, $this->repository->state($sitting));
        $standing = $bank->test($most)->standing($answers);
        $cut = BigRational::of($sitting->test->exam->rules['cut']);
        $side = count($answers) < Adaptive::LEAST ? null : $standing->side($cut->toFloat());

        return new ExpectedView(
            sentence: self::sentence($side, count($answers), Shown::percent($cut)),
            of: self::topics($sitting),
            share: $standing->share,
            low: $standing->interval->low,
            high: $standing->interval->high,
            side: $side,
            ending: $this->ending($sitting),
            asked: count($answers),
            most: $most,
            least: Adaptive::LEAST,
        );
    }

    private static function topics(Sitting $sitting): ?string
    {
        $chosen = AdaptiveTests::filtersOf($sitting)->topics();

        return $chosen === null ? null : TestName::topics($chosen, $sitting->candidacy()->syllabus());
    }

    private static function sentence(?AdaptiveEnding $side, int $asked, string $cut): string
    {
        $least = Adaptive::LEAST;

        return match (true) {
            $side === AdaptiveEnding::Above => "All that is likely lies above the cut of {$cut} %.",
            $side === AdaptiveEnding::Below => "All that is likely lies below the cut of {$cut} %.",
            $asked === 1 => "Before {$least} questions nothing is settled, and 1 was asked.",
            $asked < $least => "Before {$least} questions nothing is settled, and {$asked} were asked.",
            default => "It is not settled: what is likely lies on both sides of the cut of {$cut} %.",
        };
    }

    /** As it was told when the sitting was handed in. */
    private function ending(Sitting $sitting): ?AdaptiveEnding
    {
        $why = DB::table('sitting_events')
            ->where('sitting_id', $sitting->id)
            ->where('kind', EventKind::HandedIn->value)
            ->value('value');
        $told = is_string($why) ? json_decode($why) : null;

        return is_string($told) ? AdaptiveEnding::tryFrom($told) : null;
    }
}
