<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\KeptRecipeView;
use App\Assembly\SavedRecipe;
use App\Http\Afterwards;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Question\Candidacy;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** All of one's tests: finding, naming, sharing, deleting and having back. */
final readonly class TestsController
{
    public function __construct(
        private MyTests $tests,
        private Closing $closing,
        private Deleting $deleting,
        private Sharing $sharing,
        private OnPaper $onPaper,
        private Afterwards $afterwards,
    ) {
    }

    #[Operation('My tests', returns: TestsView::class)]
    public function index(TestsRequest $request, Candidacy $candidacy): JsonResponse
    {
        $this->afterwards->do(function () use ($candidacy): void {
            $this->closing->closeAllOver($candidacy->user);
        });

        return new JsonResponse($this->tests->page($candidacy, $request));
    }

    #[Operation('What is ready to be sat', returns: ReadyView::class)]
    public function ready(Candidacy $candidacy, ReadyTests $ready): JsonResponse
    {
        return new JsonResponse($ready->of($candidacy));
    }

    #[Operation('What a test was made of', returns: ChoicesView::class)]
    public function choices(Sitting $sitting): JsonResponse
    {
        $test = $sitting->loadMissing('test.exam')->test;
        $kept = SavedRecipe::query()->where('user_id', $sitting->user_id)->find($test->recipe_id) ??
            throw Refusal::conflict('no_recipe', 'This test was not made by a recipe of yours.');

        return new JsonResponse(new ChoicesView($test->exam->slug, KeptRecipeView::choices($kept)));
    }

    #[Operation('Rename a sitting')]
    public function rename(NameRequest $request, Sitting $sitting): Response
    {
        // Only this: whatever else is being written of it meanwhile stays.
        Sitting::query()
            ->whereKey($sitting->id)
            ->update(['name' => trim($request->string('name')->value())]);

        return response()->noContent();
    }

    #[Operation('Write a note on a test')]
    public function note(TestNoteRequest $request, Sitting $sitting): Response
    {
        Sitting::query()->whereKey($sitting->id)->update([
            'note_title' => trim($request->string('title')->value()),
            'note' => trim($request->string('note')->value()),
        ]);

        return response()->noContent();
    }

    #[Operation('Delete a sitting')]
    public function destroy(Sitting $sitting): Response
    {
        $this->deleting->delete($sitting);

        return response()->noContent();
    }

    #[Operation('Have a sitting back')]
    public function restore(Sitting $sitting): Response
    {
        $this->deleting->restore($sitting);

        return response()->noContent();
    }

    #[Operation('Share a test', returns: SharedView::class)]
    public function share(Sitting $sitting): JsonResponse
    {
        $sitting->loadMissing('test');

        return new JsonResponse(new SharedView($this->sharing->share($sitting)));
    }

    #[Operation('Stop sharing a test')]
    public function unshare(Sitting $sitting): Response
    {
        $this->sharing->close($sitting);

        return response()->noContent();
    }

    #[Operation('Agree to be compared')]
    public function agree(AgreementRequest $request, Sitting $sitting): Response
    {
        $this->sharing->agree($sitting, $request->boolean('agrees'));

        return response()->noContent();
    }

    #[Operation('Sit it on paper', returns: BriefingView::class)]
    public function onPaper(Sitting $sitting, Briefings $briefings): JsonResponse
    {
        $this->onPaper->choose($sitting);

        return new JsonResponse($briefings->of($sitting->refresh()));
    }

    #[Operation('Sit it on screen after all', returns: BriefingView::class)]
    public function onScreen(Sitting $sitting, Briefings $briefings): JsonResponse
    {
        $this->onPaper->takeBack($sitting);

        return new JsonResponse($briefings->of($sitting->refresh()));
    }
}
