<?php

declare(strict_types=1);

use App\Http\Middleware\Compressed;
use App\Http\Middleware\KnownHosts;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\StartSession;
use App\Http\Middleware\WellFormed;
use App\Http\Problem;
use App\Http\Refusal;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as LaravelStartSession;
use Illuminate\Support\Facades\Log;
use Uplandia\Core\Refused;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        // The app is same-origin, and the package behind this middleware is one of the stand-ins in compat/.
        $middleware->remove(HandleCors::class);
        $middleware->prepend([SecurityHeaders::class, Compressed::class, WellFormed::class, KnownHosts::class]);
        $middleware->web(replace: [LaravelStartSession::class => StartSession::class]);
        $middleware->authenticateSessions();
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->encryptCookies(except: ['uplandia_look']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // What was refused is told to whoever asked; it is no fault of ours.
        $exceptions->dontReport([Refusal::class, Refused::class]);
        $exceptions->dontFlash(['password', 'current_password', 'new_password', 'password_confirmation']);
        $exceptions->shouldRenderJsonWhen(
            fn (Request $request): bool => $request->is('api/*') || $request->expectsJson(),
        );
        // The message of a failed query holds what was bound to it: answers, addresses. The log gets the statement
        // only.
        $exceptions
            ->report(function (QueryException $error): void {
                Log::error('A query failed.', [
                    'sql' => $error->getSql(),
                    'code' => $error->getCode(),
                    'at' => $error->getFile().':'.$error->getLine(),
                ]);
            })
            ->stop();
        $exceptions->render(
            fn (Throwable $error, Request $request) => $request->is('api/*') ? Problem::from($error) : null,
        );
    })
    ->create();
