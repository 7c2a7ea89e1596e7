<?php

declare(strict_types=1);

namespace App\Bench;

use App\Account\User;
use CurlHandle;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Support\Facades\Crypt;
use RuntimeException;

/** Somebody who is signed in, as a server sees them. */
final readonly class Visitor
{
    private function __construct(public string $cookie, public string $token)
    {
    }

    /** By a session that is put where the server looks for it. */
    public static function signedIn(User $user): self
    {
        $session = app('session')->driver();
        $session->setId(null);
        $session->flush();
        $session->start();
        $session->regenerateToken();
        $session->put(app('auth')->guard('web')->getName(), $user->id);
        $session->put('password_hash_web', app('auth')->guard('web')->hashPasswordForCookie($user->password));
        $session->save();
        $name = (string) config('session.cookie');
        $value = CookieValuePrefix::create($name, Crypt::getKey()).$session->getId();

        return new self("{$name}=".urlencode(Crypt::encryptString($value)), $session->token());
    }

    /**
     * @param  non-empty-string  $method
     * @param  array<string, mixed>|null  $body
     *
     * @throws RuntimeException when the answer is not a good one
     */
    public function ask(string $server, string $method, string $path, ?array $body = null): Heard
    {
        $peak = 0;
        $handle = $this->request(server: $server, method: $method, path: $path, body: $body);
        curl_setopt(
            $handle,
            CURLOPT_HEADERFUNCTION,
            function (mixed $handle, string $line) use (&$peak): int {
                if (stripos($line, TellsPeak::HEADER.':') === 0) {
                    $peak = (int) substr($line, strlen(TellsPeak::HEADER) + 1);
                }

                return strlen($line);
            },
        );
        $said = curl_exec($handle);
        $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        if (! is_string($said) || $status < 200 || $status >= 300) {
            throw new RuntimeException("{$method} {$path} answered {$status}: ".substr((string) $said, 0, 300));
        }

        return new Heard(1000 * (float) curl_getinfo($handle, CURLINFO_TOTAL_TIME), $peak, $said);
    }

    /**
     * What they would send, not yet sent.
     *
     * @param  non-empty-string  $method
     * @param  array<string, mixed>|null  $body
     */
    public function request(string $server, string $method, string $path, ?array $body = null): CurlHandle
    {
        $handle = curl_init("http://{$server}{$path}");
        curl_setopt_array($handle, [
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 60,
            CURLOPT_HTTPHEADER => [
                'Content-Type: application/json',
                'Accept: application/json',
                'Accept-Encoding: gzip',
                "X-CSRF-TOKEN: {$this->token}",
                "Cookie: {$this->cookie}",
            ],
        ]);
        if ($body !== null) {
            curl_setopt($handle, CURLOPT_POSTFIELDS, json_encode($body, JSON_THROW_ON_ERROR));
        }

        return $handle;
    }
}
