<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Account\User;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;
use Tests\Feature\TestCase;

final class AccountTest extends TestCase
{
    public function test_register_sign_out_and_sign_in(): void
    {
        $this->postJson('/api/account', [
            'name' => 'Fern Tolley',
            'email' => 'fern@corvane.example',
            'password' => 'over the saddle',
        ])
            ->assertCreated()
            ->assertJsonPath('role', 'candidate');
        $this->getJson('/api/session')->assertJsonPath('user.name', 'Fern Tolley')->assertJsonPath('people', []);
        $this->deleteJson('/api/session')->assertNoContent();
        $this->getJson('/api/session')->assertJsonPath('user', null);
        $this->postJson('/api/session', [
            'email' => 'fern@corvane.example',
            'password' => 'over the saddle',
        ])->assertOk();
        $this->assertAuthenticated();
    }

    public function test_forms_say_what_is_amiss(): void
    {
        $this->candidate()
            ->forceFill(['email' => 'taken@corvane.example'])
            ->save();
        $this->postJson('/api/account', ['name' => '', 'email' => 'taken@corvane.example', 'password' => 'short'])
            ->assertStatus(422)
            ->assertJsonPath('fields.name.0', 'Tell us what to call you.')
            ->assertJsonPath(
                'fields.email.0',
                'There is an account with this address already. Sign in, or ask for a new password.',
            )
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
        $this->postJson('/api/account', [
            'name' => 'Fern',
            'email' => 'fern@corvane.example',
            'password' => 'over the saddle',
            'role' => 'administrator',
            'made_up_as' => 'x',
        ])
            ->assertCreated()
            ->assertJsonPath('role', 'candidate');
        self::assertNull(User::query()->sole()->made_up_as);
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
        self::assertTrue(password_verify('a brand new one', $user->refresh()->password));
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
}
