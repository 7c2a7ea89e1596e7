<?php

declare(strict_types=1);

namespace App\Account;

use App\Clock\Moment;
use App\Http\Contract\Delete;
use App\Http\Contract\Post;
use App\Http\Contract\Put;
use App\Http\Refusal;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Timebox;
use Psr\Clock\ClockInterface;

final readonly class AccountController
{
    public function __construct(
        private ClockInterface $clock,
        private Timebox $timebox,
        private Letters $letters,
        private Leaving $leaving,
    ) {
    }

    #[Post('/api/account', 'Ask for an account', takes: RegisterRequest::class)]
    public function store(RegisterRequest $request): Response
    {
        $newcomer = Newcomer::asking(
            name: $request->string('name')->value(),
            email: $request->string('email')->value(),
            now: Moment::now($this->clock),
        );
        // Answer and time are the same whether the address is known or not: the letter alone tells, to its owner.
        $this->timebox->call(
            fn () => User::query()->where('email', $newcomer->email)->exists()
                ? $this->letters->alreadyKnown($newcomer->email)
                : $this->letters->welcome($newcomer),
            (int) config('auth.timebox_duration'),
        );

        return response()->noContent();
    }

    #[
        Post(
            '/api/account/confirm',
            'Make the account that a letter offers',
            takes: ConfirmRequest::class,
            returns: UserView::class,
            status: 201,
        ),
    ]
    public function confirm(ConfirmRequest $request): JsonResponse
    {
        $newcomer = Newcomer::of($request->string('token')->value(), Moment::now($this->clock));
        try {
            $user = User::query()->create([
                'name' => $newcomer->name,
                'email' => $newcomer->email,
                'password' => $request->string('password')->value(),
            ]);
        } catch (UniqueConstraintViolationException) {
            throw Newcomer::stale();
        }
        Auth::login($user);
        $request->session()->regenerate();

        return new JsonResponse(UserView::of($user), 201);
    }

    #[Put('/api/account', 'Change my account', takes: AccountRequest::class, returns: UserView::class)]
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

    #[Put('/api/account/password', 'Change my password', takes: PasswordRequest::class)]
    public function password(PasswordRequest $request): Response
    {
        $user = $this->user($request);
        self::refuseShared($user);
        // AuthenticateSession signs every other device out once the hash changes.
        $user->update(['password' => $request->string('password')->value()]);
        Auth::login($user);
        $request->session()->regenerate();

        return response()->noContent();
    }

    #[Delete('/api/account', 'Delete my account', takes: DeleteAccountRequest::class)]
    public function destroy(DeleteAccountRequest $request): Response
    {
        $user = $this->user($request);
        self::refuseShared($user);
        Auth::guard('web')->logout();
        $this->leaving->of($user);
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    #[Post('/api/password/forgot', 'Ask for a new password', takes: ForgotRequest::class)]
    public function forgot(ForgotRequest $request): Response
    {
        // The answer is the same whether the address is known or not.
        Password::sendResetLink($request->safe(['email']));

        return response()->noContent();
    }

    #[Post('/api/password/reset', 'Set a new password', takes: ResetRequest::class)]
    public function reset(ResetRequest $request): Response
    {
        $status = Password::reset($request->safe(['email', 'password', 'token']), function (
            User $user,
            string $password,
        ): void {
            $user->forceFill(['password' => $password, 'remember_token' => null])->save();
        });
        if ($status !== Password::PASSWORD_RESET) {
            throw Refusal::unmet(
                'stale_link',
                'This link has been used or is more than an hour old. Ask for a new one.',
            );
        }

        return response()->noContent();
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
