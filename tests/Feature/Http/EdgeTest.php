<?php

declare(strict_types=1);

namespace Tests\Feature\Http;

use App\Http\Contract\Contract;
use App\Http\Middleware\Compressed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\URL;
use RuntimeException;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\TestCase;

final class EdgeTest extends TestCase
{
    public function test_every_route_that_needs_a_person_turns_guests_away(): void
    {
        $open = [
            'api/session',
            'api/session/demo',
            'api/account',
            'api/account/confirm',
            'api/password/forgot',
            'api/password/reset',
        ];
        $checked = 0;
        foreach (Route::getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'api/') || str_contains($route->uri(), 'fallback')) {
                continue;
            }
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                if (
                    in_array($route->uri(), $open, true) &&
                    ! in_array("{$method} {$route->uri()}", ['PUT api/account', 'DELETE api/account'], true)
                ) {
                    continue;
                }
                $uri = str_replace(
                    ['{exam}', '{sitting}', '{position}', '{question}'],
                    ['small-hills', '01J00000000000000000000000', '0', '1'],
                    $route->uri(),
                );
                $this->json($method, "/{$uri}")->assertUnauthorized();
                $checked++;
            }
        }
        self::assertGreaterThan(12, $checked);
    }

    public function test_headers_forbid_inline_scripts_and_framing(): void
    {
        $page = $this->get('/');
        $policy = (string) $page->headers->get('Content-Security-Policy');

        // Scripts and styles go by it: nothing else is said of them.
        self::assertStringContainsString("default-src 'self';", $policy);
        self::assertDoesNotMatchRegularExpression('/script-src|style-src|unsafe/', $policy);
        self::assertStringContainsString("frame-ancestors 'none'", $policy);
        $page->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('Referrer-Policy', 'same-origin');
        self::assertDoesNotMatchRegularExpression('/<script(?![^>]*\bsrc=)/', (string) $page->getContent());
        $api = $this->getJson('/api/session')->assertHeader('Cache-Control', 'no-store, private');
        $cookie = collect($api->headers->getCookies())->first(
            fn ($cookie) => $cookie->getName() === 'uplandia_session',
        );
        self::assertTrue($cookie?->isHttpOnly());
        self::assertSame('lax', $cookie->getSameSite());
    }

    public function test_a_foreign_name_is_not_answered_and_never_repeated(): void
    {
        $named = fn (string $host) => $this->get("http://{$host}/");
        $own = (string) parse_url((string) config('app.url'), PHP_URL_HOST);
        foreach (['evil.example', "{$own}.evil.example", '10.0.0.1:8000'] as $foreign) {
            $named($foreign)->assertStatus(421)->assertHeader('X-Content-Type-Options', 'nosniff');
        }
        $named('localhost:8000')->assertOk();
        $named('[::1]:8000')->assertOk();
        config(['app.url' => 'https://uplandia.example']);
        $named('localhost')->assertStatus(421);
        $named('UPLANDIA.example')->assertOk();
        config(['app.hosts' => ['practice.example']]);
        $named('practice.example')->assertOk();
    }

    public function test_links_and_redirects_lead_where_the_server_says_it_is(): void
    {
        URL::forceRootUrl('https://uplandia.example');
        URL::forceScheme('https');
        config(['app.hosts' => ['other.example']]);
        $asked = ['HTTP_X_FORWARDED_HOST' => 'evil.example', 'HTTP_ACCEPT' => 'text/html'];
        $this->call('GET', 'http://other.example/media/a.png', server: $asked)->assertRedirect(
            'https://uplandia.example/sign-in',
        );
        self::assertSame('/build/x.js', asset('build/x.js'));
    }

    public function test_only_a_trusted_proxy_says_who_asks_and_how(): void
    {
        Route::get('/api/who', fn (Request $request): string => "{$request->ip()} {$request->getScheme()}");
        $sent = [
            'HTTP_X_FORWARDED_FOR' => '9.9.9.9',
            'HTTP_X_FORWARDED_PROTO' => 'https',
            'REMOTE_ADDR' => '10.0.0.1',
        ];
        self::assertSame('10.0.0.1 http', $this->call('GET', 'http://localhost/api/who', server: $sent)->getContent());
        TrustProxies::at('10.0.0.0/8');
        self::assertSame('9.9.9.9 https', $this->call('GET', 'http://localhost/api/who', server: $sent)->getContent());
        TrustProxies::flushState();
        Request::setTrustedProxies([], Request::HEADER_X_FORWARDED_FOR);
    }

    public function test_up_says_so_in_plain_text_and_asks_nobody_else(): void
    {
        $up = $this->get('/up')->assertOk()->assertHeader('Content-Type', 'text/plain; charset=utf-8');
        self::assertSame("Uplandia is up.\n", $up->getContent());
        self::assertSame([], $up->headers->getCookies());
    }

    public function test_longer_texts_are_sent_compressed_to_whoever_reads_that(): void
    {
        $long = ['text' => str_repeat('uphill ', 500)];
        $send = fn (string $reads, mixed $what): Response => (new Compressed())->handle(
            Request::create('/', server: ['HTTP_ACCEPT_ENCODING' => $reads]),
            fn (): Response => is_array($what) ? new JsonResponse($what) : $what,
        );
        $plain = $send('', $long);
        self::assertSame([null, ['Accept-Encoding']], [
            $plain->headers->get('Content-Encoding'), $plain->getVary(),
        ]);
        $small = $send('br, gzip', $long);
        self::assertSame('gzip', $small->headers->get('Content-Encoding'));
        self::assertLessThan(500, strlen((string) $small->getContent()));
        self::assertSame($plain->getContent(), gzdecode((string) $small->getContent()));
        foreach ([
            $send('gzip;q=0', $long),
            $send('gzip', ['text' => 'short']),
            $send('gzip', response(str_repeat('x', 5000), 200, ['Content-Type' => 'image/png'])),
        ] as $asItIs) {
            self::assertFalse($asItIs->headers->has('Content-Encoding'));
        }
    }

    public function test_an_error_tells_nothing_of_the_inside(): void
    {
        config(['app.debug' => false]);
        Route::get('/api/breaks', fn () => throw new RuntimeException('secret detail in /some/path'));
        Route::get('/breaks', fn () => throw new RuntimeException('secret detail'));

        $api = $this->getJson('/api/breaks')->assertStatus(500);
        self::assertStringNotContainsString('secret', (string) $api->getContent());
        $this->getJson('/api/nothing-here')->assertNotFound()->assertJsonPath('message', 'There is nothing here.');
    }

    public function test_a_request_without_its_token_is_refused(): void
    {
        $this->app?->instance('env', 'local');
        $this->postJson('/api/session', ['email' => 'a@b.example', 'password' => 'x'])
            ->assertStatus(419)
            ->assertJsonPath('reason', 'stale_page');
    }

    public function test_a_failed_query_is_logged_without_what_was_bound_to_it(): void
    {
        $log = sys_get_temp_dir().'/uplandia-log-'.getmypid();
        config(['logging.channels.file.path' => $log, 'logging.default' => 'app']);
        Route::get('/api/asks', fn () => DB::select('select * from nowhere where answer = ?', ['a private answer']));
        $this->getJson('/api/asks')->assertStatus(500);
        $said = (string) file_get_contents($log);
        unlink($log);

        self::assertStringContainsString('select * from nowhere where answer = ?', $said);
        self::assertStringNotContainsString('private', $said);
        self::assertIsArray(json_decode(trim($said), true));
    }

    public function test_the_contract_on_disk_is_the_one_the_code_describes(): void
    {
        self::assertSame(Contract::json(), file_get_contents(base_path(Contract::FILE)));
    }

    public function test_the_database_is_set_up_as_promised(): void
    {
        self::assertSame(1, (int) DB::selectOne('pragma foreign_keys')->foreign_keys);
        self::assertSame(15_000, (int) DB::selectOne('pragma busy_timeout')->timeout);
        self::assertSame(2, (int) DB::selectOne('pragma synchronous')->synchronous);
    }
}
