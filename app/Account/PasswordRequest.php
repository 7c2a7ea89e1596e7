<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Form;
use Illuminate\Validation\Rules\Password;

final class PasswordRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'current_password' => ['required', 'string', 'max:500', new PresentPassword($this)],
            'password' => ['required', 'string', 'max:200', Password::min(10), new UncommonPassword($this->own())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return Wording::MESSAGES;
    }

    /** @return list<string> */
    private function own(): array
    {
        $user = $this->user();

        return $user instanceof User ? [$user->name, $user->email, explode('@', $user->email)[0]] : [];
    }
}
