<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Account\User;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Mail\Transport\ArrayTransport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\Password;
use Illuminate\Testing\TestResponse;
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

    public function test_no_door_takes_a_list_for_an_address(): void
    {
        $fields = ['email' => ['order' => [1, [2]]], 'name' => ['a'], 'token' => ['b'], 'password' => 'rope to home'];
        foreach (['/api/account', '/api/session', '/api/password/forgot', '/api/password/reset'] as $door) {
            $this->postJson($door, $fields)->assertStatus(422)->assertJsonStructure(['fields' => ['email']]);
        }
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

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function knock(string $email, string $password, string $from = '10.0.0.1'): TestResponse
    {
        Auth::guard('web')->logout();

        return $this->withServerVariables(['REMOTE_ADDR' => $from])
            ->postJson('/api/session', ['email' => $email, 'password' => $password]);
    }

    public function test_whoever_guesses_waits_ever_longer_and_a_right_password_is_never_shut_out(): void
    {
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $user = $this->candidate();
        foreach ([$user->email, 'nobody@corvane.example'] as $email) {
            for ($i = 0; $i < 5; $i++) {
                $this->knock($email, 'guess')->assertStatus(422);
            }
            $this->knock($email, 'guess')->assertStatus(429)->assertHeader('Retry-After', '1')
                ->assertJsonPath('reason', 'too_often');
        }
        $waits = [];
        for ($i = 0; $i < 12; $i++) {
            $wait = (int) $this->knock($user->email, 'guess')->assertStatus(429)->headers->get('Retry-After');
            $waits[] = $wait;
            $this->travel($wait)->seconds();
            $this->knock($user->email, 'guess')->assertStatus(422);
        }
        self::assertSame([1, 2, 4, 8, 16, 32, 64, 128, 256, 512, 900, 900], $waits);
        // Waiting is enough, however often one was wrong; and then all is forgotten.
        $this->travel(900)->seconds();
        $this->knock($user->email, 'a long walk uphill')->assertOk();
        $this->knock($user->email, 'guess')->assertStatus(422);
        $this->knock($user->email, 'a long walk uphill')->assertOk();
    }

    public function test_many_places_that_guess_keep_out_nobody_who_knows_the_password(): void
    {
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $user = $this->candidate();
        for ($i = 0; $i < 40; $i++) {
            $this->knock($user->email, 'guess', "10.0.1.{$i}")->assertStatus(422);
        }
        // A place that has guessed once waits for the others too, a minute at the most.
        $this->knock($user->email, 'guess', '10.0.1.7')->assertStatus(429)->assertHeader('Retry-After', '60');
        $this->knock($user->email, 'a long walk uphill', '10.0.9.9')->assertOk();
        // Others behind the same address come in meanwhile.
        $other = $this->candidate();
        $this->knock($other->email, 'a long walk uphill', '10.0.1.7')->assertOk();
    }

    public function test_a_whole_course_behind_one_address_comes_in(): void
    {
        for ($i = 0; $i < 120; $i++) {
            $this->knock("one-{$i}@corvane.example", 'guess')->assertStatus(422);
        }
    }

    public function test_the_present_password_is_not_guessed_either(): void
    {
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
        $guess = fn (): TestResponse => $this->deleteJson('/api/account', ['current_password' => 'guess']);
        for ($i = 0; $i < 5; $i++) {
            $guess()->assertStatus(422);
        }
        $guess()->assertStatus(429);
    }

    public function test_a_name_is_one_line_and_no_address(): void
    {
        config(['app.letters_per_hour' => 100]);
        $asks = fn (string $name): TestResponse => $this->postJson('/api/account', [
            'name' => $name,
            'email' => 'fern@corvane.example',
        ]);
        foreach (["Fern\nTolley", "Fern\r\n\r\nPay here", "Fern\u{2028}Tolley", "Fern\u{202e}yellot"] as $name) {
            $asks($name)->assertStatus(422)->assertJsonPath('message', 'A name is one line of letters.');
        }
        $addresses = ['see http://evil.example', 'www.evil', 'fern@evil.example', 'evil.example/x', '<b>Fern</b>'];
        foreach ($addresses as $name) {
            $asks($name)->assertStatus(422)
                ->assertJsonPath('message', 'A name holds no address: leave out links and mail addresses.');
        }
        foreach (["Fern O'Tolley-Müller", 'Dr. Fern T. 2nd', '木村 花'] as $name) {
            $asks($name)->assertNoContent();
        }
        // And the letter names nobody: who asked may be anybody.
        self::assertStringNotContainsString('Fern', $this->letterTo('fern@corvane.example'));
        $this->actingAs($this->candidate());
        $this->putJson('/api/account', ['name' => "a\nb", 'extraTime' => '1'])->assertStatus(422);
    }

    public function test_what_is_tried_first_is_no_password(): void
    {
        $this->actingAs($user = $this->candidate());
        $sets = fn (string $password): TestResponse => $this->putJson('/api/account/password', [
            'current_password' => 'a long walk uphill',
            'password' => $password,
        ]);
        $triedFirst = [
            'password12', 'P@ssw0rd2026!', 'aaaaaaaaaaaa', 'abcabcabcabc', '1234567890', 'qwertyuiop', 'sunshine99',
            $user->email,
        ];
        foreach ($triedFirst as $tried) {
            $sets($tried)->assertStatus(422);
        }
        $sets('three sheep on a ridge')->assertNoContent();
    }

    public function test_a_link_is_used_once_and_ends_with_a_new_password(): void
    {
        $user = $this->candidate();
        $token = Password::broker()->createToken($user);
        $fields = ['token' => $token, 'email' => $user->email, 'password' => 'a brand new one'];
        // Somebody else was quicker between the look and the lock.
        DB::listen(function (QueryExecuted $query): void {
            if (str_contains($query->sql, 'select * from "password_reset')) {
                DB::connection()->getPdo()->exec("update password_reset_tokens set token = 'other'");
            }
        });
        $this->postJson('/api/password/reset', $fields)->assertStatus(422)->assertJsonPath('reason', 'stale_link');
        self::assertTrue(Hash::check('a long walk uphill', $user->refresh()->password));
        Event::forget(QueryExecuted::class);

        $fields['token'] = Password::broker()->createToken($user);
        $this->actingAs($user);
        $this->putJson('/api/account/password', [
            'current_password' => 'a long walk uphill',
            'password' => 'three sheep on a ridge',
        ])->assertNoContent();
        $this->flushSession();
        $this->postJson('/api/password/reset', $fields)->assertStatus(422)->assertJsonPath('reason', 'stale_link');
    }

    public function test_a_used_welcome_makes_no_deleted_account_again_nor_does_an_older_one(): void
    {
        $asks = function (): string {
            $this->postJson('/api/account', ['name' => 'Fern', 'email' => 'fern@corvane.example'])->assertNoContent();

            return self::token($this->letterTo('fern@corvane.example'));
        };
        $older = $asks();
        $this->travel(1)->seconds();
        $used = $asks();
        $makes = fn (string $token): TestResponse => $this->postJson(
            '/api/account/confirm',
            ['token' => $token, 'password' => 'over the saddle'],
        );
        $makes($used)->assertCreated();
        $this->travel(1)->seconds();
        $this->deleteJson('/api/account', ['current_password' => 'over the saddle'])->assertNoContent();
        foreach ([$used, $older] as $token) {
            $makes($token)->assertStatus(422)->assertJsonPath('reason', 'stale_link');
        }
        $this->travel(1)->seconds();
        $makes($asks())->assertCreated();
    }

    public function test_doors_answer_alike_while_letters_cannot_be_sent_and_send_them_later(): void
    {
        config(['queue.default' => 'database', 'mail.default' => 'smtp', 'mail.mailers.smtp.port' => 1]);
        $user = $this->candidate();
        foreach ([$user->email, 'nobody@corvane.example'] as $email) {
            $this->postJson('/api/password/forgot', ['email' => $email])->assertNoContent();
            $this->postJson('/api/account', ['name' => 'Fern', 'email' => $email])->assertNoContent();
        }
        self::assertSame(4, DB::table('jobs')->count());
        Artisan::call('queue:work', ['--stop-when-empty' => true, '--sleep' => 0]);
        // One had nothing to send; the others wait for their next try.
        self::assertSame([3, 0], [DB::table('jobs')->count(), DB::table('failed_jobs')->count()]);
        config(['mail.default' => 'array']);
        Mail::purge('smtp');
        $this->travel(10)->minutes();
        Artisan::call('queue:work', ['--stop-when-empty' => true, '--sleep' => 0]);
        self::assertSame(0, DB::table('jobs')->count());
        $letters = $this->lettersTo($user->email);
        self::assertCount(2, $letters);
        self::assertStringContainsString('/new-password?token=', implode($letters));
        self::assertStringContainsString('/welcome?token=', $this->letterTo('nobody@corvane.example'));
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
        $letters = $this->lettersTo($address);

        return $letters === [] ? '' : $letters[count($letters) - 1];
    }

    /** @return list<string> */
    private function lettersTo(string $address): array
    {
        $transport = Mail::getSymfonyTransport();
        assert($transport instanceof ArrayTransport);
        $letters = $transport->messages()->map(fn (SentMessage $sent) => $sent->getOriginalMessage());
        $own = $letters->filter(fn (Email $letter): bool => $letter->getTo()[0]->getAddress() === $address);

        return array_values($own->map(fn (Email $letter): string => (string) $letter->getTextBody())->all());
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
