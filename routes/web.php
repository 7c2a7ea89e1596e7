<?php

declare(strict_types=1);

use App\Account\AccountController;
use App\Account\SessionController;
use App\Assembly\BuilderController;
use App\Assembly\ExamController;
use App\Assembly\RecipeController;
use App\Bench\BareController;
use App\Cohort\CohortController;
use App\Handbook\HandbookController;
use App\Http\UpController;
use App\Library\LibraryController;
use App\Library\MetController;
use App\Library\PageController;
use App\Library\SectionController;
use App\Media\MediaController;
use App\MyData\MyDataController;
use App\Plan\PlanController;
use App\Progress\AdaptiveController;
use App\Progress\MasteryController;
use App\Progress\ProgressController;
use App\Progress\WeakSpotsController;
use App\Result\AgainstController;
use App\Result\PackController;
use App\Result\ResultController;
use App\Result\TakeAwayController;
use App\Revisit\CardController;
use App\Revisit\GapBookController;
use App\Revisit\GapController;
use App\Revisit\RevisitController;
use App\Sitting\BookletController;
use App\Sitting\NewSittingController;
use App\Sitting\SittingController;
use App\Sitting\TestsController;
use App\Today\TodayController;
use Illuminate\Support\Facades\Route;

// Beyond this there is no question, and beyond all integers no number.
Route::pattern('position', '[0-9]{1,4}');

if (config('app.bench') === true) {
    Route::middleware(['auth', 'throttle:api'])->group(function (): void {
        Route::get('bench/nothing', [BareController::class, 'nothing']);
        Route::post('bench/row', [BareController::class, 'row']);
        Route::get('bench/statements/{name}', [BareController::class, 'statement']);
    });
}

Route::get('up', UpController::class)->withoutMiddleware('web');

Route::prefix('api')->group(function (): void {
    Route::get('session', [SessionController::class, 'show'])->middleware('throttle:api');
    Route::delete('session', [SessionController::class, 'destroy'])->middleware('throttle:api');

    Route::middleware('throttle:doors')->group(function (): void {
        Route::post('session', [SessionController::class, 'store']);
        Route::post('session/demo', [SessionController::class, 'demo']);
        Route::post('account', [AccountController::class, 'store'])->middleware('throttle:letters');
        Route::post('account/confirm', [AccountController::class, 'confirm']);
        Route::post('password/forgot', [AccountController::class, 'forgot'])->middleware('throttle:letters');
        Route::post('password/reset', [AccountController::class, 'reset']);
    });

    Route::middleware(['auth', 'throttle:api'])->group(function (): void {
        Route::put('account', [AccountController::class, 'update']);
        Route::put('account/password', [AccountController::class, 'password'])->middleware('throttle:doors');
        Route::delete('account', [AccountController::class, 'destroy'])->middleware('throttle:doors');
        Route::get('my-data', [MyDataController::class, 'pack'])->middleware('throttle:doors');
        Route::post('my-data', [MyDataController::class, 'unpack'])->middleware('throttle:doors');

        Route::get('exams', [TodayController::class, 'exams']);
        Route::put('exams/{exam}/chosen', [TodayController::class, 'choose']);
        Route::get('exams/{exam}/today', [TodayController::class, 'show']);
        Route::put('exams/{exam}/enrolment', [TodayController::class, 'enrol']);
        Route::post('exams/{exam}/quick-starts', [TodayController::class, 'begin']);
        Route::get('exams/{exam}/mastery', [MasteryController::class, 'show']);
        Route::get('exams/{exam}/cohort', [CohortController::class, 'show']);
        Route::put('exams/{exam}/cohort', [CohortController::class, 'takePart']);
        Route::get('exams/{exam}/plan', [PlanController::class, 'show']);
        Route::put('exams/{exam}/plan', [PlanController::class, 'keep']);
        Route::get('exams/{exam}/plan/calendar', [PlanController::class, 'calendar']);
        Route::get('exams/{exam}/library', [MetController::class, 'index']);
        Route::post('exams/{exam}/library/table', [MetController::class, 'table']);
        Route::get('exams/{exam}/close-words', [MetController::class, 'close']);
        Route::get('exams/{exam}/library/{question}', [MetController::class, 'history'])
            ->where('question', '[0-9]{1,12}');
        Route::get('exams/{exam}/gaps', [GapBookController::class, 'index']);
        Route::post('exams/{exam}/gaps/sheet', [GapBookController::class, 'sheet']);
        Route::post('exams/{exam}/gaps/drill', [GapBookController::class, 'drill']);
        Route::get('exams/{exam}/revisits', [RevisitController::class, 'index']);
        Route::post('exams/{exam}/revisits/session', [RevisitController::class, 'begin']);
        Route::put('exams/{exam}/revisits/{question}', [RevisitController::class, 'say'])
            ->where('question', '[0-9]{1,12}');
        Route::get('exams/{exam}/cards', [CardController::class, 'index']);
        Route::post('exams/{exam}/cards/import', [CardController::class, 'takeIn']);
        Route::get('exams/{exam}/cards/file', [CardController::class, 'file']);
        Route::post('exams/{exam}/cards', [CardController::class, 'store']);
        Route::middleware('can:use,card')->group(function (): void {
            Route::put('cards/{card}', [CardController::class, 'change']);
            Route::put('cards/{card}/state', [CardController::class, 'suspend']);
            Route::post('cards/{card}/looks', [CardController::class, 'look']);
            Route::delete('cards/{card}', [CardController::class, 'destroy']);
        });
        Route::get('exams/{exam}/progress', [ProgressController::class, 'show']);
        Route::get('exams/{exam}/builder', [BuilderController::class, 'show']);
        Route::get('exams/{exam}/handbook', [HandbookController::class, 'index']);
        Route::get('exams/{exam}/handbook-pages', [HandbookController::class, 'whole']);
        Route::post('exams/{exam}/handbook-search', [HandbookController::class, 'search']);
        Route::get('exams/{exam}/handbook-kept', [PageController::class, 'index']);
        Route::put('exams/{exam}/handbook/{section}/note', [PageController::class, 'note']);
        Route::put('exams/{exam}/handbook/{section}/highlights', [PageController::class, 'highlights']);
        Route::put('exams/{exam}/handbook/{section}/reading', [PageController::class, 'reading']);
        Route::get('exams/{exam}/handbook/{section}', [HandbookController::class, 'show']);
        Route::get('exams/{exam}/handbook/{section}/questions', [SectionController::class, 'show']);
        Route::post('exams/{exam}/handbook/{section}/quiz', [SectionController::class, 'quiz']);
        Route::post('exams/{exam}/count', [BuilderController::class, 'count']);
        Route::get('exams/{exam}/recipes', [RecipeController::class, 'index']);
        Route::post('exams/{exam}/recipes', [RecipeController::class, 'store']);
        Route::middleware('can:use,recipe')->group(function (): void {
            Route::put('recipes/{recipe}', [RecipeController::class, 'update']);
            Route::delete('recipes/{recipe}', [RecipeController::class, 'destroy']);
        });
        Route::post('recipes/{recipe}/sittings', [NewSittingController::class, 'recipe'])
            ->middleware('can:run,recipe');
        Route::post('exams/{exam}/questions', [BuilderController::class, 'questions']);
        Route::get('exams/{exam}/questions/{question}', [BuilderController::class, 'question'])
            ->where('question', '[0-9]{1,12}');
        Route::post('exams/{exam}/facets', [BuilderController::class, 'facets']);
        Route::post('exams/{exam}/tests', [NewSittingController::class, 'build']);
        Route::get('exams/{exam}', [ExamController::class, 'show']);
        Route::get('exams/{exam}/ready', [TestsController::class, 'ready']);
        Route::post('exams/{exam}/rehearsals', [NewSittingController::class, 'rehearsal']);
        Route::post('exams/{exam}/weak-spots', [WeakSpotsController::class, 'store']);
        Route::get('exams/{exam}/adaptive', [AdaptiveController::class, 'show']);
        Route::post('exams/{exam}/series/{series}/tests/{test}/sittings', [NewSittingController::class, 'series']);
        Route::get('exams/{exam}/sittings', [TestsController::class, 'index']);
        Route::post('exams/{exam}/library/{question}/sittings', [NewSittingController::class, 'anew'])
            ->where('question', '[0-9]{1,12}');
        Route::post('shared', [NewSittingController::class, 'join'])->middleware('throttle:doors');
        Route::post('exams/{exam}/papers/{paper}/sittings', [NewSittingController::class, 'paper']);
        Route::get('exams/{exam}/tables', [HandbookController::class, 'tables']);

        Route::middleware('can:sit,sitting')->group(function (): void {
            Route::get('sittings/{sitting}', [SittingController::class, 'show']);
            Route::delete('sittings/{sitting}', [TestsController::class, 'destroy']);
            Route::post('sittings/{sitting}/restore', [TestsController::class, 'restore'])->withTrashed();
            Route::put('sittings/{sitting}/name', [TestsController::class, 'rename']);
            Route::post('sittings/{sitting}/again', [NewSittingController::class, 'again']);
            Route::post('sittings/{sitting}/share', [TestsController::class, 'share']);
            Route::delete('sittings/{sitting}/share', [TestsController::class, 'unshare']);
            Route::put('sittings/{sitting}/comparison', [TestsController::class, 'agree']);
            Route::put('sittings/{sitting}/note', [TestsController::class, 'note']);
            Route::get('sittings/{sitting}/choices', [TestsController::class, 'choices']);
            Route::post('sittings/{sitting}/on-paper', [TestsController::class, 'onPaper']);
            Route::delete('sittings/{sitting}/on-paper', [TestsController::class, 'onScreen']);
            Route::get('sittings/{sitting}/kept', [LibraryController::class, 'show']);
            Route::put('sittings/{sitting}/questions/{position}/star', [LibraryController::class, 'star']);
            Route::put('sittings/{sitting}/questions/{position}/note', [LibraryController::class, 'note']);
            Route::put('sittings/{sitting}/questions/{position}/highlights', [LibraryController::class, 'highlights']);
            Route::post('sittings/{sitting}/questions/{position}/words', [LibraryController::class, 'tell']);
            Route::get('sittings/{sitting}/scratch', [LibraryController::class, 'scratch']);
            Route::put('sittings/{sitting}/scratch', [LibraryController::class, 'keepScratch']);
            Route::get('sittings/{sitting}/booklet', [BookletController::class, 'show']);
            Route::get('sittings/{sitting}/key', [ResultController::class, 'key']);
            Route::post('sittings/{sitting}/exposures', [ResultController::class, 'expose']);
            Route::put('sittings/{sitting}/reserve', [SittingController::class, 'reserve']);
            Route::post('sittings/{sitting}/open', [SittingController::class, 'open']);
            Route::post('sittings/{sitting}/events', [SittingController::class, 'record']);
            Route::post('sittings/{sitting}/next', [AdaptiveController::class, 'next']);
            Route::post('sittings/{sitting}/hand-in', [SittingController::class, 'handIn']);
            Route::post('sittings/{sitting}/close', [SittingController::class, 'close']);
            Route::post('sittings/{sitting}/pack', [PackController::class, 'store']);
            Route::delete('sittings/{sitting}/pack', [PackController::class, 'destroy']);
            Route::get('sittings/{sitting}/result', [ResultController::class, 'show']);
            Route::get('sittings/{sitting}/review', [ResultController::class, 'review']);
            Route::post('sittings/{sitting}/follow-up', [ResultController::class, 'followUp']);
            Route::get('sittings/{sitting}/against/{other}', [AgainstController::class, 'show'])
                ->middleware('can:sit,other');
            Route::get('sittings/{sitting}/table', [TakeAwayController::class, 'table']);
            Route::get('sittings/{sitting}/statements', [TakeAwayController::class, 'statements']);
            Route::post('sittings/{sitting}/questions/{position}/rubric', [
                ResultController::class,
                'mark',
            ]);
            Route::put('sittings/{sitting}/questions/{position}/cause', [GapController::class, 'cause']);
            Route::put('sittings/{sitting}/questions/{position}/gap', [GapController::class, 'move']);
            Route::get('sittings/{sitting}/questions/{position}', [ResultController::class, 'explain']);
        });
    });
    Route::fallback(fn () => abort(404));
});

Route::get('media/{name}', [MediaController::class, 'show'])
    ->middleware(['auth', 'throttle:api'])
    ->where('name', '[a-z0-9]+\.[a-z0-9]+');

// Every other address is a screen of the one page; the browser finds out which.
Route::view('{screen?}', 'app')->where('screen', '^(?!(api|media|up)(/|$)).*')->name('screen');
