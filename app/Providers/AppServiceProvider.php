<?php

declare(strict_types=1);

namespace App\Providers;

use App\Account\Address;
use App\Account\People;
use App\Account\User;
use App\Account\WholeBcrypt;
use App\Assembly\Adapts;
use App\Assembly\HoldsBack;
use App\Assembly\RecipePolicy;
use App\Assembly\SavedRecipe;
use App\Bench\TellsPeak;
use App\Clock\SystemClock;
use App\Cohort\CohortMarks;
use App\Cohort\Comparison;
use App\Database\ImmediateConnector;
use App\Database\Recounts;
use App\Http\CountsInFiles;
use App\Http\WholeFileSessions;
use App\Progress\AdaptiveResults;
use App\Progress\AdaptiveTests;
use App\Progress\EstimatesRecount;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\Fts5Search;
use App\Question\Tallies;
use App\Question\TextSearch;
use App\Result\Compares;
use App\Result\KeepsStandings;
use App\Result\OutcomesRecount;
use App\Result\Settlement;
use App\Result\TellsExpected;
use App\Revisit\Card;
use App\Revisit\CardPolicy;
use App\Revisit\CardsRecount;
use App\Revisit\Standings;
use App\Revisit\StandingsRecount;
use App\Sitting\RunningSittings;
use App\Sitting\Settles;
use App\Sitting\Sitting;
use App\Sitting\SittingPolicy;
use App\Sitting\SittingsRecount;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Cache\Repository;
use Illuminate\Contracts\Http\Kernel as HttpKernel;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Routing\Route as RoutedTo;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\ServiceProvider;
use Psr\Clock\ClockInterface;
use ReflectionParameter;

final class AppServiceProvider extends ServiceProvider
{
    /** @var array<string, class-string> rooms below ask; rooms above do */
    public array $singletons = [
        TextSearch::class => Fts5Search::class,
        Settles::class => Settlement::class,
        Adapts::class => AdaptiveTests::class,
        KeepsStandings::class => Standings::class,
        TellsExpected::class => AdaptiveResults::class,
        Compares::class => Comparison::class,
        HoldsBack::class => RunningSittings::class,
        'db.connector.sqlite' => ImmediateConnector::class,
    ];

    public function register(): void
    {
        $this->app->tag([
            Tallies::class,
            SittingsRecount::class,
            OutcomesRecount::class,
            StandingsRecount::class,
            CardsRecount::class,
            EstimatesRecount::class,
            CohortMarks::class,
        ], Recounts::class);
        $this->app->singleton(ClockInterface::class, fn (): SystemClock => new SystemClock(
            config('app.demo') === true ? max(0, (int) config('app.days_ahead')) : 0,
        ));
    }

    public function boot(): void
    {
        // No lazy loading, no silently dropped attribute, no reading of a column that was not selected.
        Model::shouldBeStrict();

        Session::extend(
            'file',
            fn (): WholeFileSessions => new WholeFileSessions(
                files: app('files'),
                path: config('session.files'),
                minutes: config('session.lifetime'),
            ),
        );

        Cache::extend('counts', fn (Application $app, array $store): Repository => Cache::repository(
            new CountsInFiles($app->make('files'), $store['path']),
        ));

        Hash::extend('whole_bcrypt', fn (): WholeBcrypt => new WholeBcrypt(config('hashing.bcrypt')));
        Auth::provider(
            'people',
            fn (Application $app, array $provider): People => new People(
                hasher: $app->make('hash'),
                shared: $provider['shared'] && config('app.demo') === true,
            ),
        );

        // Links and redirects lead where this server says it is, whatever a request says.
        URL::forceRootUrl(config('app.url'));
        URL::forceScheme((string) parse_url(config('app.url'), PHP_URL_SCHEME));
        $proxies = config('app.proxies');
        TrustProxies::at($proxies === '*' ? '*' : implode(',', array_filter([config('app.front'), $proxies])));
        TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);

        if (config('app.bench') === true) {
            $this->app->make(HttpKernel::class)->pushMiddleware(TellsPeak::class);
        }

        // The exam in an address is, to whoever studies for it, their candidacy.
        Route::bind('exam', function (string $slug, RoutedTo $route): Exam|Candidacy {
            $exam = Exam::query()->where('slug', $slug)->firstOrFail();
            $asksWho = array_filter(
                $route->signatureParameters(),
                fn (ReflectionParameter $parameter): bool => (string) $parameter->getType() === Candidacy::class,
            );
            $user = Auth::user();

            return $user instanceof User && $asksWho !== [] ? new Candidacy($user, $exam) : $exam;
        });
        Gate::policy(Sitting::class, SittingPolicy::class);
        Gate::policy(SavedRecipe::class, RecipePolicy::class);
        Gate::policy(Card::class, CardPolicy::class);

        ResetPassword::createUrlUsing(
            fn (User $user, string $token): string => url(
                '/new-password?'.http_build_query(['token' => $token, 'email' => $user->email]),
            ),
        );

        // A whole course may stand behind one address, so what is counted by machine is generous; guessing is slowed
        // down by App\Account\SlowDown, and letters to one address are few.
        RateLimiter::for('doors', fn (Request $request): Limit => Limit::perMinute(
            (int) config('app.doors_per_minute'),
        )->by("machine:{$request->ip()}"));
        RateLimiter::for('letters', function (Request $request): array {
            $email = $request->input('email');

            return is_string($email) && $email !== ''
                ? [Limit::perHour((int) config('app.letters_per_hour'))->by('letters:'.Address::of($email))]
                : [];
        });
        RateLimiter::for(
            'api',
            fn (Request $request): Limit => Limit::perMinute((int) config('app.requests_per_minute'))->by(
                (string) ($request->user()?->getAuthIdentifier() ?? $request->ip()),
            ),
        );
    }
}
