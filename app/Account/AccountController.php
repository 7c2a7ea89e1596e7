<?php

declare(strict_types=1);

namespace App\Account;

use App\Clock\Moment;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Timebox;
use Psr\Clock\ClockInterface;

final readonly class AccountController
{
    public function __construct(
        private ClockInterface $clock,
        private Timebox $timebox,
        private EndedLinks $ended,
        private ResetLinks $resets,
        private Leaving $leaving,
    ) {
    }

    #[Operation('Ask for an account')]
    public function store(RegisterRequest $request): Response
    {
        $this->later(new SendWelcome(
            name: $request->string('name')->value(),
            email: $request->string('email')->value(),
        ));

        return response()->noContent();
    }

    #[Operation('Make the account that a letter offers', returns: UserView::class, status: 201)]
    public function confirm(ConfirmRequest $request): JsonResponse
    {
        $newcomer = Newcomer::of($request->string('token')->value(), Moment::now($this->clock));
        try {
            $user = DB::transaction(function () use ($newcomer, $request): User {
                // Once, and none that was asked for before: a deleted account is not made again by an old letter.
                $this->ended->refuse($newcomer);
                $this->ended->end($newcomer->email);

                return User::query()->create([
                    'name' => $newcomer->name,
                    'email' => $newcomer->email,
                    'password' => $request->string('password')->value(),
                ]);
            });
        } catch (UniqueConstraintViolationException) {
            throw Newcomer::stale();
        }
        Auth::login($user);
        $request->session()->regenerate();

        return new JsonResponse(UserView::of($user), 201);
    }

    #[Operation('Change my account', returns: UserView::class)]
    public function update(AccountRequest $request): JsonResponse
    {
        $user = $this->user($request);
        if ($request->string('name')->value() !== $user->name) {
            self::refuseShared($user);
        }
        $user->update([
            'name' => $request->string('name')->value(),
            'extra_time' => $request->string('extraTime')->value(),
        ]);

        return new JsonResponse(UserView::of($user));
    }

    #[Operation('Change my password')]
    public function password(PasswordRequest $request): Response
    {
        $user = $this->user($request);
        self::refuseShared($user);
        // AuthenticateSession signs every other device out once the hash changes; open links end with it.
        DB::transaction(function () use ($user, $request): void {
            $user->update(['password' => $request->string('password')->value()]);
            DB::table('password_reset_tokens')->where('email', $user->email)->delete();
        });
        Auth::login($user);
        $request->session()->regenerate();

        return response()->noContent();
    }

    #[Operation('Delete my account')]
    public function destroy(DeleteAccountRequest $request): Response
    {
        $user = $this->user($request);
        self::refuseShared($user);
        Auth::guard('web')->logout();
        $this->ended->end($user->email);
        $this->leaving->of($user);
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    #[Operation('Ask for a new password')]
    public function forgot(ForgotRequest $request): Response
    {
        $this->later(new SendNewPassword($request->string('email')->value()));

        return response()->noContent();
    }

    #[Operation('Set a new password')]
    public function reset(ResetRequest $request): Response
    {
        $this->timebox->call(
            fn () => $this->resets->use(
                email: $request->string('email')->value(),
                token: $request->string('token')->value(),
                password: $request->string('password')->value(),
            ),
            (int) config('auth.timebox_duration'),
        );

        return response()->noContent();
    }

    /** Answer, time and what is done are the same whether an address is known or not, and whether letters go out. */
    private function later(object $letter): void
    {
        $this->timebox->call(fn () => dispatch($letter), (int) config('auth.timebox_duration'));
    }

    /** The people of the demo are everybody's: what one visitor changed, the next would find. */
    private static function refuseShared(User $user): void
    {
        if ($user->made_up_as !== null) {
            throw Refusal::unmet(
                'demo_person',
                'The people of the demo stay as they are. Make an account of your own to try this.',
            );
        }
    }

    private function user(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }
}
