<?php

declare(strict_types=1);

namespace Tests\Feature\Http;

use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Foundation\Http\Events\RequestHandled;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** Whoever reads waits for no writer, and goes on reading where nothing can be written. */
final class ReadingTest extends TestCase
{
    use SitsByLetters;

    /** What an address may lack without being a fault: it is another sitting's, or there is none of it. */
    private const NOT_HERE = [404, 409, 422];

    public function test_no_get_writes_or_takes_the_lock_of_writers(): void
    {
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
        $done = $this->sit('rmbr', ['mode' => 'timed', 'minutes' => 30]);
        $other = $this->sit('rrmm', ['mode' => 'timed', 'minutes' => 30]);
        $over = $this->build(['minutes' => 1]);
        $this->open($over);
        $this->travel(90)->seconds();

        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => '2026-09-01', 'timeZone' => 'Europe/Lisbon'])
            ->assertNoContent();
        $hours = ['hoursWeek' => 5, 'weekdaysOff' => [], 'datesOff' => []];
        $this->putJson('/api/exams/small-hills/plan', $hours)->assertSuccessful();
        $asked = [];
        foreach ([$done, $over] as $sitting) {
            foreach ($this->addresses($sitting, $other) as $address) {
                $begun = 0;
                // What can wait is done when the answer has gone out: here, after the event of its route.
                Event::listen(TransactionBeginning::class, function () use (&$begun): void {
                    $begun++;
                });
                Event::listen(RequestHandled::class, fn () => Event::forget(TransactionBeginning::class));
                DB::statement('PRAGMA query_only = ON');
                try {
                    $answer = $this->getJson($address);
                } finally {
                    DB::statement('PRAGMA query_only = OFF');
                }
                self::assertSame(0, $begun, "{$address} takes the lock.");
                self::assertTrue(
                    $answer->getStatusCode() === 200 || in_array($answer->getStatusCode(), self::NOT_HERE, true),
                    "{$address}: {$answer->getStatusCode()}",
                );
                $asked[$answer->getStatusCode()][] = $address;
                Event::forget(RequestHandled::class);
            }
        }
        self::assertGreaterThan(40, count($asked[200]));
    }

    public function test_on_a_full_disk_one_reads_on_and_is_told_that_nothing_can_be_saved(): void
    {
        $this->actingAs($this->candidate());
        config([
            'session.files' => '/proc/no-room',
            'cache.stores.file.path' => '/proc/no-room',
            'cache.default' => 'file',
            'session.driver' => 'file',
            // Each request clears old sessions away, or tries to.
            'session.lottery' => [1, 1],
            'logging.channels.file.path' => '/proc/no-room/uplandia.log',
            'logging.default' => 'app',
        ]);
        $sitting = $this->build();
        $this->beforeApplicationDestroyed(fn () => DB::statement('PRAGMA query_only = OFF'));
        DB::statement('PRAGMA query_only = ON');
        foreach (['exams/small-hills/today', "sittings/{$sitting}", 'session'] as $address) {
            $this->getJson("/api/{$address}")->assertOk();
        }
        $this->get('/sign-in')->assertOk();
        $this->get('/up')->assertStatus(503)->assertSee('cannot write');
        $open = $this->postJson("/api/sittings/{$sitting}/open", ['tab' => 'a'])->assertStatus(500);
        self::assertStringNotContainsString('lost', (string) $open->json('message'));
        DB::statement('PRAGMA query_only = OFF');
        $this->get('/up')->assertOk();
    }

    /** @return list<string> every GET of the contract */
    private function addresses(string $sitting, string $other): array
    {
        $paths = json_decode((string) file_get_contents(base_path('openapi.json')), true)['paths'];
        $question = (string) DB::table('outcomes')->value('question_id');
        $section = (string) DB::table('handbook_sections')->value('code');
        $known = [
            '{exam}' => 'small-hills', '{sitting}' => $sitting, '{other}' => $other, '{position}' => '0',
            '{question}' => $question, '{section}' => $section,
        ];
        $addresses = [];
        foreach ($paths as $path => $methods) {
            if (isset($methods['get'])) {
                $needed = array_filter(
                    $methods['get']['parameters'] ?? [],
                    fn (array $parameter): bool => $parameter['in'] === 'query' && ($parameter['required'] ?? false),
                );
                // The first of what may be chosen, or the first page.
                $query = array_map(
                    fn (array $one): mixed => $one['schema']['enum'][0] ?? 1,
                    array_column($needed, null, 'name'),
                );
                $addresses[] = strtr($path, $known).($query === [] ? '' : '?'.http_build_query($query));
            }
        }

        return $addresses;
    }
}
