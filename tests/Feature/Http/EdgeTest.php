<?php

declare(strict_types=1);

namespace Tests\Feature\Http;

use App\Http\Contract\Contract;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use RuntimeException;
use Tests\Feature\TestCase;

final class EdgeTest extends TestCase
{
    public function test_every_route_that_needs_a_person_turns_guests_away(): void
    {
        $open = ['api/session', 'api/session/demo', 'api/account', 'api/password/forgot', 'api/password/reset'];
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
                    ['{exam}', '{sitting}', '{position}'],
                    ['small-hills', '01J00000000000000000000000', '0'],
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

        self::assertStringContainsString("script-src 'self';", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
        self::assertStringContainsString("frame-ancestors 'none'", $policy);
        $page->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('Referrer-Policy', 'same-origin');
        self::assertDoesNotMatchRegularExpression('/<script(?![^>]*\bsrc=)/', (string) $page->getContent());
        $this->getJson('/api/session')->assertHeader('Cache-Control', 'no-store, private');
        $cookie = collect($page->headers->getCookies())->first(
            fn ($cookie) => $cookie->getName() === 'uplandia_session',
        );
        self::assertTrue($cookie?->isHttpOnly());
        self::assertSame('lax', $cookie->getSameSite());
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
        config(['logging.channels.app.path' => $log, 'logging.default' => 'app']);
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
