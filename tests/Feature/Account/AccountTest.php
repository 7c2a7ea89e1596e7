<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Account\User;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Mail\Transport\ArrayTransport;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\Password;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mime\Email;
use Tests\Feature\TestCase;

final class AccountTest extends TestCase
{
    public function test_register_sign_out_and_sign_in(): void
    {
        $this->postJson('/api/account', [
            'name' => 'Fern Tolley',
            'email' => ' Fern@Corvane.example ',
        ])->assertNoContent();
        self::assertSame(0, User::query()->count());
        $this->assertGuest();
        $link = $this->letterTo('fern@corvane.example');
        $offer = ['token' => self::token($link), 'password' => 'over the saddle'];
        $this->postJson('/api/account/confirm', $offer)->assertCreated()->assertJsonPath('role', 'candidate');
        $this->getJson('/api/session')->assertJsonPath('user.name', 'Fern Tolley')->assertJsonPath('people', []);
        $this->deleteJson('/api/session')->assertNoContent();
        $this->getJson('/api/session')->assertJsonPath('user', null);
        // In capitals it is the same address.
        $this->postJson('/api/session', [
            'email' => 'FERN@corvane.example',
            'password' => 'over the saddle',
        ])->assertOk();
        $this->assertAuthenticated();
        $this->postJson('/api/account/confirm', $offer)->assertStatus(422)->assertJsonPath('reason', 'stale_link');
    }

    public function test_registering_tells_nobody_but_the_owner_whether_an_address_is_known(): void
    {
        $known = $this->candidate();
        $this->postJson('/api/account', ['name' => 'X', 'email' => strtoupper($known->email)])->assertNoContent();
        $this->postJson('/api/account', ['name' => 'X', 'email' => 'new@corvane.example'])->assertNoContent();

        self::assertStringContainsString('There is one already', $this->letterTo($known->email));
        self::assertStringContainsString('/welcome?token=', $this->letterTo('new@corvane.example'));
    }

    public function test_a_link_to_an_account_works_for_a_day_and_only_as_it_was_written(): void
    {
        $this->postJson('/api/account', ['name' => 'Fern', 'email' => 'fern@corvane.example']);
        $token = self::token($this->letterTo('fern@corvane.example'));
        $offer = ['password' => 'over the saddle'];
        foreach ([substr($token, 0, -4), 'x', base64_encode('{"iv":1}'), Crypt::encryptString('[1,2]')] as $other) {
            $this->postJson('/api/account/confirm', $offer + ['token' => $other])
                ->assertStatus(422)
                ->assertJsonPath('reason', 'stale_link');
        }
        $this->travel(25)->hours();
        $this->postJson('/api/account/confirm', $offer + ['token' => $token])->assertStatus(422);
        self::assertSame(0, User::query()->count());
    }

    public function test_forms_say_what_is_amiss(): void
    {
        $this->postJson('/api/account', ['name' => '', 'email' => 'no address'])
            ->assertStatus(422)
            ->assertJsonPath('fields.name.0', 'Tell us what to call you.')
            ->assertJsonPath('fields.email.0', 'This does not look like an e-mail address. Check it for a slip.');
        $this->postJson('/api/account/confirm', ['token' => 'x', 'password' => 'short'])
            ->assertStatus(422)
            ->assertJsonPath(
                'fields.password.0',
                'A password needs at least 10 characters. A short sentence is easy to remember.',
            );
        $this->postJson('/api/session', ['email' => 'taken@corvane.example', 'password' => 'not this one'])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'invalid');
        $this->assertGuest();
    }

    public function test_nobody_can_register_as_an_author(): void
    {
        $wishes = ['role' => 'administrator', 'made_up_as' => 'x'];
        $this->postJson('/api/account', ['name' => 'Fern', 'email' => 'fern@corvane.example'] + $wishes);
        $this->postJson(
            '/api/account/confirm',
            [
                'token' => self::token($this->letterTo('fern@corvane.example')),
                'password' => 'over the saddle',
            ] + $wishes,
        )
            ->assertCreated()
            ->assertJsonPath('role', 'candidate');
        self::assertNull(User::query()->sole()->made_up_as);
    }

    public function test_a_password_counts_to_its_last_letter(): void
    {
        $long = str_repeat('über alle Berge ', 9);
        $user = $this->candidate();
        $user->update(['password' => $long]);
        $door = ['email' => $user->email];
        $this->postJson('/api/session', $door + ['password' => "{$long}!"])->assertStatus(422);
        $this->postJson('/api/session', $door + ['password' => substr($long, 0, 80)])->assertStatus(422);
        $this->postJson('/api/session', $door + ['password' => $long])->assertOk();
    }

    public function test_an_unknown_address_costs_as_much_as_a_known_one(): void
    {
        $hasher = $this->countingHasher();
        $known = $this->candidate();
        foreach (['/api/session', '/api/password/forgot', '/api/password/reset'] as $door) {
            $costs = [];
            foreach ([$known->email, 'nobody@corvane.example'] as $email) {
                DB::table('password_reset_tokens')->updateOrInsert(
                    ['email' => $known->email],
                    ['token' => Hash::make('another'), 'created_at' => now()->subMinutes(5)],
                );
                $before = $hasher->used;
                $this->postJson($door, ['email' => $email, 'password' => 'a guess at it', 'token' => 'x']);
                $costs[] = $hasher->used - $before;
            }
            self::assertSame([1, 1], $costs, $door);
        }
    }

    public function test_a_door_that_stays_shut_does_so_in_its_own_time(): void
    {
        config(['auth.timebox_duration' => 40_000]);
        foreach (['/api/account', '/api/password/forgot', '/api/session'] as $door) {
            $from = microtime(true);
            $this->postJson($door, ['name' => 'X', 'email' => 'nobody@corvane.example', 'password' => 'a guess']);
            self::assertGreaterThan(0.04, microtime(true) - $from, $door);
        }
    }

    public function test_signing_in_changes_the_session_id(): void
    {
        $user = $this->candidate();
        $this->get('/sign-in');
        $before = session()->getId();
        $this->postJson('/api/session', ['email' => $user->email, 'password' => 'a long walk uphill'])->assertOk();

        self::assertNotSame($before, session()->getId());
    }

    public function test_the_door_is_throttled(): void
    {
        for ($i = 0; $i < 10; $i++) {
            $this->postJson('/api/session', [
                'email' => 'nobody@corvane.example',
                'password' => 'guess',
            ])->assertStatus(422);
        }
        $this->postJson('/api/session', ['email' => 'nobody@corvane.example', 'password' => 'guess'])
            ->assertStatus(429)
            ->assertJsonPath('message', 'That was too often. Wait a minute and try again.');
    }

    public function test_a_forgotten_password_can_be_set_anew_once(): void
    {
        Notification::fake();
        $user = $this->candidate();
        $this->postJson('/api/password/forgot', ['email' => 'nobody@corvane.example'])->assertNoContent();
        Notification::assertNothingSent();
        $this->postJson('/api/password/forgot', ['email' => $user->email])->assertNoContent();
        $token = '';
        Notification::assertSentTo($user, ResetPassword::class, function (ResetPassword $letter) use (
            $user,
            &$token,
        ): bool {
            $token = $letter->token;

            return str_contains((string) $letter->toMail($user)->actionUrl, '/new-password?token=');
        });
        $fields = ['token' => $token, 'email' => $user->email, 'password' => 'a brand new one'];
        $this->postJson('/api/password/reset', $fields)->assertNoContent();
        $this->postJson('/api/password/reset', $fields)->assertStatus(422)->assertJsonPath('reason', 'stale_link');
        $this->postJson('/api/session', ['email' => $user->email, 'password' => 'a brand new one'])->assertOk();
    }

    public function test_changing_the_password_needs_the_present_one(): void
    {
        $this->actingAs($user = $this->candidate());
        $this->putJson('/api/account/password', ['current_password' => 'wrong', 'password' => 'a brand new one'])
            ->assertStatus(422)
            ->assertJsonPath('fields.current_password.0', 'This is not the password you have now.');
        $this->putJson('/api/account/password', [
            'current_password' => 'a long walk uphill',
            'password' => 'a brand new one',
        ])->assertNoContent();
        self::assertTrue(Hash::check('a brand new one', $user->refresh()->password));
    }

    public function test_deleting_an_account_takes_everything_with_it(): void
    {
        $this->actingAs($user = $this->candidate());
        $sitting = $this->build(['mode' => 'tutor']);
        $this->open($sitting);
        $this->send($sitting, [$this->answer(0, 'a', 10)]);
        $this->handIn($sitting);
        $this->deleteJson('/api/account', ['current_password' => 'wrong'])->assertStatus(422);
        $this->deleteJson('/api/account', ['current_password' => 'a long walk uphill'])->assertNoContent();

        $this->assertGuest();
        $own = ['users', 'recipes', 'tests', 'test_items', 'sittings', 'sitting_events', 'outcomes', 'standings'];
        foreach ($own as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
        self::assertSame(12, DB::table('questions')->count());
        self::assertNotNull($user);
    }

    public function test_deleting_an_account_leaves_others_their_sittings_and_no_reset_token(): void
    {
        $leaver = $this->candidate();
        $stayer = $this->candidate();
        $this->actingAs($leaver);
        $own = $this->build(['mode' => 'tutor']);
        $test = DB::table('sittings')->where('id', $own)->value('test_id');
        DB::table('sittings')->insert(
            ['id' => 'other', 'user_id' => $stayer->id] + (array) DB::table('sittings')->where('id', $own)->first(),
        );
        $this->postJson('/api/password/forgot', ['email' => $leaver->email])->assertSuccessful();
        self::assertSame(1, DB::table('password_reset_tokens')->count());
        $this->deleteJson('/api/account', ['current_password' => 'a long walk uphill'])->assertNoContent();

        self::assertSame(['other'], DB::table('sittings')->pluck('id')->all());
        self::assertSame([$test], DB::table('tests')->pluck('id')->all());
        self::assertSame(6, DB::table('test_items')->count());
        self::assertSame(0, DB::table('password_reset_tokens')->count());
    }

    public function test_name_and_extra_time_can_be_changed(): void
    {
        $this->actingAs($this->candidate());
        $this->putJson('/api/account', ['name' => 'Fern', 'extraTime' => '1.5'])
            ->assertOk()
            ->assertJsonPath('extraTime', '1.5');
        $this->putJson('/api/account', ['name' => 'Fern', 'extraTime' => '9'])->assertStatus(422);
    }

    /** @return iterable<string, array{string}> */
    public static function madeUp(): iterable
    {
        yield 'a person of the demo' => ['wren'];
        yield 'one of the cohort' => ['cohort-17'];
    }

    #[DataProvider('madeUp')]
    public function test_made_up_people_come_in_by_no_door_while_the_demo_is_off(string $as): void
    {
        Notification::fake();
        $person = $this->candidate();
        $person->forceFill(['made_up_as' => $as])->save();
        $token = Password::broker()->createToken($person);
        $door = ['email' => $person->email, 'password' => 'a long walk uphill'];

        $this->postJson('/api/session', $door)->assertStatus(422);
        $this->postJson('/api/session/demo', ['person' => $as])->assertNotFound();
        $this->postJson('/api/password/forgot', ['email' => $person->email])->assertNoContent();
        $this->postJson('/api/password/reset', ['token' => $token] + $door)->assertStatus(422);
        Notification::assertNothingSent();
        // Nor does a session from when it was on.
        $this->withSession([Auth::guard('web')->getName() => $person->id])
            ->getJson('/api/exams')
            ->assertUnauthorized();
    }

    public function test_the_people_of_the_demo_stay_as_they_are(): void
    {
        Notification::fake();
        config(['app.demo' => true]);
        $person = $this->candidate();
        $person->forceFill(['made_up_as' => 'wren'])->save();
        $this->actingAs($person);
        $this->putJson('/api/account', ['name' => 'Somebody', 'extraTime' => '1'])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'demo_person');
        $this->putJson('/api/account', ['name' => $person->name, 'extraTime' => '1.5'])->assertOk();
        $this->putJson('/api/account/password', [
            'current_password' => 'a long walk uphill',
            'password' => 'a brand new one',
        ])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'demo_person');
        $this->deleteJson('/api/account', ['current_password' => 'a long walk uphill'])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'demo_person');
        $this->postJson('/api/password/forgot', ['email' => $person->email])->assertNoContent();
        $this->postJson('/api/password/reset', [
            'token' => Password::broker()->createToken($person),
            'email' => $person->email,
            'password' => 'a brand new one',
        ])->assertStatus(422);
        Notification::assertNothingSent();
        self::assertTrue(Hash::check('a long walk uphill', $person->refresh()->password));
    }

    public function test_one_click_sign_in_exists_in_the_demo_only(): void
    {
        $person = $this->candidate();
        $person->forceFill(['made_up_as' => 'wren', 'about' => 'New today'])->save();
        $this->postJson('/api/session/demo', ['person' => 'wren'])->assertNotFound();
        config(['app.demo' => true]);
        $this->getJson('/api/session')->assertJsonPath('people.0.key', 'wren');
        $this->postJson('/api/session/demo', ['person' => 'nobody'])->assertNotFound();
        $this->postJson('/api/session/demo', ['person' => 'wren'])->assertOk();
        $this->assertAuthenticatedAs($person);
        // Looking round as many people is no guessing at one account.
        for ($i = 0; $i < 12; $i++) {
            $this->postJson('/api/session/demo', ['person' => 'wren'])->assertOk();
        }
    }

    /** The text of the last letter to an address. */
    private function letterTo(string $address): string
    {
        $transport = Mail::getSymfonyTransport();
        assert($transport instanceof ArrayTransport);
        $letters = $transport->messages()->map(fn (SentMessage $sent) => $sent->getOriginalMessage());
        $own = $letters->filter(fn (Email $letter): bool => $letter->getTo()[0]->getAddress() === $address);

        return (string) $own->last()?->getTextBody();
    }

    private static function token(string $letter): string
    {
        preg_match('~/welcome\?token=(\S+)~', $letter, $found);

        return urldecode($found[1] ?? '');
    }

    private function countingHasher(): CountingHasher
    {
        $hasher = new CountingHasher(['rounds' => 4]);
        Hash::extend('counting', fn (): CountingHasher => $hasher);
        config(['hashing.driver' => 'counting']);

        return $hasher;
    }
}
