<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Account\User;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Question\Candidacy;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Uplandia\Core\Revisit\CardText;

final readonly class CardController
{
    public function __construct(private Cards $cards, private CardReader $reader)
    {
    }

    #[Operation('List cards', returns: CardsView::class)]
    public function index(CardsRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->reader->of(
            candidacy: $candidacy,
            show: CardsWanted::from($request->string('show')->value()),
            words: trim($request->string('words')->value()),
            section: $request->input('section') === null ? null : $request->string('section')->value(),
            page: $request->integer('page'),
        ));
    }

    #[Operation('Make a card', returns: CardView::class, status: 201)]
    public function store(CardRequest $request, Candidacy $candidacy): JsonResponse
    {
        $card = $this->cards->make(
            candidacy: $candidacy,
            faces: $request->faces(),
            question: $this->question($request, $candidacy->user),
            section: $request->input('section') === null ? null : $request->string('section')->value(),
        );

        return new JsonResponse($this->reader->view($card, $candidacy->user), 201);
    }

    #[Operation('Take cards in', returns: CardsTakenInView::class)]
    public function takeIn(CardsBroughtRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->cards->takeIn($candidacy, $request->cards()));
    }

    #[Operation('Take cards away', returns: CardsAwayView::class)]
    public function file(Candidacy $candidacy): JsonResponse
    {
        $faces = $this->reader->faces($candidacy);

        return new JsonResponse(new CardsAwayView(CardCsv::write($faces), CardText::write($faces)));
    }

    #[Operation('Change a card', returns: CardView::class)]
    public function change(CardRequest $request, Card $card, #[CurrentUser] User $user): JsonResponse
    {
        $why = $this->reader->covered($user->id)[$card->question_id] ?? null;
        if ($why !== null) {
            throw Refusal::conflict('held_back', $why);
        }
        $card->update((array) $request->faces());

        return new JsonResponse($this->reader->view($card, $user));
    }

    #[Operation('Say whether a card stays away', returns: CardView::class)]
    public function suspend(CardStateRequest $request, Card $card, #[CurrentUser] User $user): JsonResponse
    {
        $card->update(['suspended' => $request->boolean('suspended')]);

        return new JsonResponse($this->reader->view($card, $user));
    }

    #[Operation('Look at a card', returns: CardView::class)]
    public function look(LookRequest $request, Card $card, #[CurrentUser] User $user): JsonResponse
    {
        $this->cards->look($card, $request->string('id')->value(), $request->grade());

        return new JsonResponse($this->reader->view($card, $user));
    }

    #[Operation('Throw a card away')]
    public function destroy(Card $card): Response
    {
        $card->delete();

        return response()->noContent();
    }

    /** @return int|null null: it is made from no question */
    private function question(CardRequest $request, User $user): ?int
    {
        if ($request->input('sitting') === null) {
            return null;
        }

        return $this->reader->question(
            sitting: $request->string('sitting')->value(),
            position: $request->integer('position'),
            user: $user,
        ) ?? throw Refusal::unmet('question', 'There is no such question.');
    }
}
