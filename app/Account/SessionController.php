<?php

declare(strict_types=1);

namespace App\Account;

use App\Clock\Moment;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Psr\Clock\ClockInterface;

final readonly class SessionController
{
    public function __construct(private SlowDown $slowDown, private ClockInterface $clock)
    {
    }

    #[Operation('Who am I', returns: SessionView::class)]
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();
        $people =
            config('app.demo') === true
                ? User::query()
                    ->whereNotNull('made_up_as')
                    ->where('made_up_as', 'not like', 'cohort-%')
                    ->orderBy('id')
                    ->get()
                    ->map(
                        fn (User $person) => new DemoPersonView(
                            (string) $person->made_up_as,
                            $person->name,
                            (string) $person->about,
                        ),
                    )
                    ->all()
                : [];

        return new JsonResponse(
            new SessionView(
                $user instanceof User ? UserView::of($user) : null,
                array_values($people),
                Moment::now($this->clock),
            ),
        );
    }

    #[Operation('Sign in', returns: UserView::class)]
    public function store(SignInRequest $request): JsonResponse
    {
        [$account, $place] = [$request->string('email')->value(), (string) $request->ip()];
        $this->slowDown->refuseTooSoon($account, $place);
        if (! Auth::attempt($request->safe(['email', 'password']), $request->boolean('remember'))) {
            $this->slowDown->wrong($account, $place);
            throw ValidationException::withMessages([
                'email' => 'This address and password do not belong together. Check both, or ask for a new password.',
            ]);
        }

        $this->slowDown->right($account, $place);

        return $this->signedIn($request);
    }

    #[Operation('Sign in as a demo person', returns: UserView::class)]
    public function demo(DemoSignInRequest $request): JsonResponse
    {
        if (config('app.demo') !== true) {
            throw Refusal::notFound();
        }
        $person =
            User::query()
                ->where('made_up_as', $request->string('person')->value())
                ->where('made_up_as', 'not like', 'cohort-%')
                ->first() ?? throw Refusal::notFound();
        Auth::login($person);

        return $this->signedIn($request);
    }

    #[Operation('Sign out')]
    public function destroy(Request $request): Response
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    /** A new session id at every sign-in: one that was planted before is worth nothing after. */
    private function signedIn(Request $request): JsonResponse
    {
        $request->session()->regenerate();
        $user = Auth::user();
        assert($user instanceof User);

        return new JsonResponse(UserView::of($user));
    }
}
