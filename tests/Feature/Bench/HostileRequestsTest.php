<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Bench\FuzzTrial;
use App\Bench\HostileRequests;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\ThrottleRequests;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\TestCase;

/** The short form of ./uplandia fuzz: no input makes the server fail. */
final class HostileRequestsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->exam();
        $this->withoutMiddleware(ThrottleRequests::class);
        $this->actingAs($this->candidate());
    }

    private function answered(string $method, string $path, array $headers = [], ?string $body = null): int
    {
        $server = [
            'HTTP_ACCEPT' => 'application/json',
            'CONTENT_TYPE' => $headers['Content-Type'] ?? 'application/json',
        ];
        parse_str(str_replace('; ', '&', $headers['Cookie'] ?? ''), $cookies);
        $request = Request::create("http://localhost{$path}", $method, [], $cookies, [], $server, $body);

        return $this->app->make(Kernel::class)->handle($request)->getStatusCode();
    }

    public function test_nothing_that_is_sent_is_an_error_of_the_server(): void
    {
        $sitting = $this->build();
        $this->open($sitting);
        $hostile = new HostileRequests(
            'short form',
            FuzzTrial::known() + ['sitting' => [$sitting], 'position' => ['0', '5']],
        );
        $counts = [];
        for ($i = 0; $i < 700; $i++) {
            $request = $hostile->next();
            if ($request['method'] === 'DELETE') {
                continue;
            }
            $status = $this->answered($request['method'], $request['path'], $request['headers'], $request['body']);
            self::assertLessThan(
                500,
                $status,
                json_encode($request, JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR),
            );
            $counts[$status] = ($counts[$status] ?? 0) + 1;
        }
        // It must not be turned away at the door throughout.
        self::assertGreaterThan(50, $counts[200] ?? 0);
        self::assertGreaterThan(50, $counts[422] ?? 0);
        self::assertGreaterThan(50, $counts[400] ?? 0);
    }

    /** Each of these was seen to break the server. */
    #[TestWith(['POST', '/api/session', '{"email":["a"],"password":"x"}', 422])]
    #[TestWith(['POST', '/api/password/forgot', '{"email":{"a":1}}', 422])]
    #[TestWith(['PUT', '/api/account/password', '{"current_password":["x"],"password":"y"}', 422])]
    #[TestWith(['PUT', '/api/account', "{\"name\":\"\xff\",\"extraTime\":\"1\"}", 400])]
    #[TestWith(['PUT', '/api/account', '{"name":"a\u0000b","extraTime":"1"}', 400])]
    #[TestWith(['POST', '/api/exams/small-hills/count', '{"count":1e999,"mode":"tutor","pools":[]}', 400])]
    #[TestWith(['GET', '/api/exams/%00/builder', null, 400])]
    #[TestWith(['GET', '/api/exams/%ff/builder', null, 400])]
    #[TestWith(['GET', '/api/exams/small-hills/builder?x=%00', null, 400])]
    #[TestWith(['GET', '/%ff', null, 400])]
    public function test_what_no_browser_sends_is_turned_away(
        string $method,
        string $path,
        ?string $body,
        int $status,
    ): void {
        self::assertSame($status, $this->answered($method, $path, [], $body));
    }

    public function test_a_position_beyond_all_integers_is_not_found(): void
    {
        $sitting = $this->build();
        $this->open($sitting);

        self::assertSame(404, $this->answered('GET', "/api/sittings/{$sitting}/questions/99999999999999999999"));
    }

    public function test_nesting_without_end_is_turned_away(): void
    {
        foreach ([40, 600] as $depth) {
            $body = str_repeat('{"a":', $depth).'1'.str_repeat('}', $depth);
            self::assertSame(400, $this->answered('POST', '/api/exams/small-hills/count', [], $body));
        }
    }

    public function test_a_cookie_that_is_a_list_is_none(): void
    {
        self::assertSame(200, $this->answered('GET', '/', ['Cookie' => 'uplandia_look[a]=1']));
    }
}
