<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Contract\ProblemView;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Throwable;
use Uplandia\Core\Refused;

/** Answers an API request that failed with a sentence, and tells nothing of the inside. */
final class Problem
{
    public static function from(Throwable $error): JsonResponse
    {
        [$status, $message, $reason] = match (true) {
            $error instanceof ValidationException => [422, $error->validator->errors()->first(), 'invalid'],
            $error instanceof Refused => [422, $error->getMessage(), $error->reason],
            $error instanceof Refusal => [$error->status, $error->getMessage(), $error->reason],
            $error instanceof AuthenticationException => [401, 'Please sign in first.', 'signed_out'],
            $error instanceof AuthorizationException => [
                $error->status() ?? 403,
                $error->status() === 404 ? 'There is nothing here.' : 'Your account may not do this.',
                'forbidden',
            ],
            $error instanceof ModelNotFoundException => [404, 'There is nothing here.', 'not_found'],
            $error instanceof TooManyRequestsHttpException && ! $error instanceof ThrottleRequestsException => [
                429,
                $error->getMessage(),
                'too_often',
            ],
            $error instanceof HttpExceptionInterface => [
                $error->getStatusCode(),
                self::sentence($error->getStatusCode()),
                $error->getStatusCode() === 419 ? 'stale_page' : null,
            ],
            default => [500, self::sentence(500), null],
        };
        $fields = $error instanceof ValidationException ? $error->errors() : [];
        $headers = $error instanceof HttpExceptionInterface ? $error->getHeaders() : [];

        return new JsonResponse(
            new ProblemView($message, $reason, $fields === [] ? new \stdClass() : $fields),
            $status,
            $headers,
        );
    }

    public static function of(int $status, string $message, string $reason): JsonResponse
    {
        return new JsonResponse(new ProblemView($message, $reason, new \stdClass()), $status);
    }

    public static function sentence(int $status): string
    {
        return match ($status) {
            404, 405 => 'There is nothing here.',
            413 => 'That was too large to send.',
            419 => 'This page has been open for a long time. Reload it and try again.',
            429 => 'That was too often. Wait a minute and try again.',
            503 => 'Uplandia is being looked after. Try again in a few minutes.',
            default => 'Something went wrong on our side. Try again in a moment; if it stays so, tell whoever runs this server.',
        };
    }
}
