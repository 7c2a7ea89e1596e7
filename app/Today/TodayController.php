<?php

declare(strict_types=1);

namespace App\Today;

use App\Account\User;
use App\Assembly\Bank;
use App\Assembly\CountsView;
use App\Http\Contract\Get;
use App\Question\Exam;
use App\Sitting\Sitting;
use App\Sitting\Sittings;
use Brick\Math\BigRational;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Scoring\Shown;

final class TodayController
{
    private const RESULTS = 10;

    private const OPEN = 20;

    public function __construct(private readonly Sittings $sittings)
    {
    }

    #[Get('/api/exams', 'List exams', returns: ExamsView::class)]
    public function exams(): JsonResponse
    {
        return new JsonResponse(new ExamsView($this->links()));
    }

    #[Get('/api/exams/{exam}/today', 'What about today', returns: TodayView::class)]
    public function show(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $this->sittings->settleOverdue($user);
        $bank = new Bank($exam, $user);
        $met = [];
        foreach ($bank->met() as $counts) {
            foreach ($counts as $outcome => $n) {
                $met[$outcome] = ($met[$outcome] ?? 0) + $n;
            }
        }
        $sittings = fn () => Sitting::query()->with('test')->where('user_id', $user->id)->where('exam_id', $exam->id);

        return new JsonResponse(new TodayView(
            $exam->slug, $exam->name, $exam->summary, $this->links(), CountsView::of(array_sum($bank->all()), $met),
            $sittings()->whereIn('status', ['not_started', 'open'])->latest('updated_at')->limit(self::OPEN)->get()->map($this->open(...))->values()->all(),
            $sittings()->where('status', 'handed_in')->latest('ended_ms')->limit(self::RESULTS)->get()->map($this->past(...))->values()->all(),
        ));
    }

    private function open(Sitting $sitting): OpenSittingView
    {
        return new OpenSittingView($sitting->id, $sitting->test->title, $sitting->test->mode, $sitting->status === 'open', $sitting->questions, $sitting->answered, $sitting->contact_ms);
    }

    private function past(Sitting $sitting): PastSittingView
    {
        $marks = BigRational::of((string) $sitting->marks);
        $possible = BigRational::of((string) $sitting->possible);

        return new PastSittingView(
            $sitting->id, $sitting->test->title, $sitting->test->mode, (int) $sitting->ended_ms, $sitting->questions, $sitting->answered,
            Shown::decimal($marks), Shown::decimal($possible), $possible->getSign() === 0 ? null : Shown::percent($marks->dividedBy($possible)),
        );
    }

    /** @return list<ExamLinkView> */
    private function links(): array
    {
        return Exam::query()->orderBy('position')->get()->map(fn (Exam $exam) => new ExamLinkView($exam->slug, $exam->name))->values()->all();
    }
}
