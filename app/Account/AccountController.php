<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Contract\Delete;
use App\Http\Contract\Post;
use App\Http\Contract\Put;
use App\Http\Refusal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Password;

final class AccountController
{
    #[Post('/api/account', 'Register', takes: RegisterRequest::class, returns: UserView::class, status: 201)]
    public function store(RegisterRequest $request): JsonResponse
    {
        $user = User::query()->create($request->safe(['name', 'email', 'password']));
        Auth::login($user);
        $request->session()->regenerate();

        return new JsonResponse(UserView::of($user), 201);
    }

    #[Put('/api/account', 'Change my account', takes: AccountRequest::class, returns: UserView::class)]
    public function update(AccountRequest $request): JsonResponse
    {
        $user = $this->user($request);
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
        // AuthenticateSession signs every other device out once the hash changes.
        $user->update(['password' => $request->string('password')->value()]);
        Auth::login($user);
        $request->session()->regenerate();

        return response()->noContent();
    }

    #[Delete('/api/account', 'Delete my account', takes: DeleteAccountRequest::class)]
    public function destroy(DeleteAccountRequest $request, Leaving $leaving): Response
    {
        $user = $this->user($request);
        if ($user->made_up_as !== null) {
            throw Refusal::unmet(
                'demo_person',
                'The people of the demo stay. Register an account of your own to try this.',
            );
        }
        Auth::guard('web')->logout();
        $leaving->of($user);
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

    private function user(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }
}
