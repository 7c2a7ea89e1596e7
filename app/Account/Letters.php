<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Contracts\Mail\Mailer;
use Illuminate\Mail\Message;

/** The letters that Uplandia writes to people who are no users yet, or may not know that they are. */
final readonly class Letters
{
    public function __construct(private Mailer $mailer)
    {
    }

    public function welcome(Newcomer $newcomer): void
    {
        $link = url('/welcome?'.http_build_query(['token' => $newcomer->token()]));
        $this->send($newcomer->email, 'Your account at Uplandia', <<<TEXT
            Hello,

            with this link you set your password, and your account is made:

            {$link}

            It works for a day. If you did not ask for an account, leave this letter be: nothing happens without you.
            TEXT);
    }

    public function alreadyKnown(string $email): void
    {
        $signIn = url('/sign-in');
        $forgot = url('/forgot');
        $this->send($email, 'Your account at Uplandia', <<<TEXT
            Hello,

            somebody, probably you, asked for an account with this address. There is one already. Sign in here:

            {$signIn}

            If the password is forgotten, ask for a new one here:

            {$forgot}
            TEXT);
    }

    private function send(string $to, string $subject, string $text): void
    {
        $this->mailer->raw($text, fn (Message $letter): Message => $letter->to($to)->subject($subject));
    }
}
