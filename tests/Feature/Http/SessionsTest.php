<?php

declare(strict_types=1);

namespace Tests\Feature\Http;

use App\Http\WholeFileSessions;
use Illuminate\Support\Facades\Session;
use Tests\Feature\TestCase;

final class SessionsTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/uplandia-sessions-'.getmypid();
        is_dir($this->folder) || mkdir($this->folder);
        config(['session.driver' => 'file', 'session.files' => $this->folder]);
        self::assertInstanceOf(WholeFileSessions::class, Session::driver()->getHandler());
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("{$this->folder}/*") ?: []);
        rmdir($this->folder);
        parent::tearDown();
    }

    public function test_whoever_only_knocks_leaves_no_session_behind(): void
    {
        $this->get('/')->assertOk()->assertCookieMissing('uplandia_session');
        $this->getJson('/api/exams')->assertUnauthorized()->assertCookieMissing('uplandia_session');
        $this->getJson('/api/nothing')->assertNotFound();
        self::assertCount(0, glob("{$this->folder}/*") ?: []);
    }

    public function test_whoever_asks_who_they_are_or_signs_in_gets_one(): void
    {
        $this->getJson('/api/session')->assertCookie('uplandia_session');
        self::assertCount(1, glob("{$this->folder}/*") ?: []);
        $this->postJson('/api/session', [
            'email' => $this->candidate()->email,
            'password' => 'a long walk uphill',
        ])->assertOk()->assertCookie('uplandia_session');
    }
}
