<?php

declare(strict_types=1);

namespace Tests\Feature\Demo;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

/** The demo's people have the same past whenever it is told: on a Friday, on the first of a month, just before midnight. */
final class AnyDayTest extends TestCase
{
    public function test_the_past_is_the_same_on_any_day(): void
    {
        $told = function (string $name, string $now): array {
            $this->travelTo(Carbon::parse($now));
            config(["database.connections.{$name}" => config('database.connections.sqlite')]);
            DB::setDefaultConnection($name);
            Artisan::call('migrate', ['--database' => $name]);
            self::assertSame(0, Artisan::call('demo:load', ['--cohort' => 0]), Artisan::output());

            return $this->past(Carbon::parse($now));
        };
        $first = $told('friday', '2026-11-27 10:00:00');
        self::assertGreaterThan(20, count($first));
        self::assertSame($first, $told('change', '2027-03-28 23:59:00'));
        DB::setDefaultConnection('sqlite');
    }

    /** @return list<string> sittings and what came of each question, in days before now */
    private function past(Carbon $now): array
    {
        $today = $now->copy()->startOfDay();
        $past = [];
        $sittings = DB::table('sittings')
            ->join('users', 'users.id', '=', 'sittings.user_id')
            ->orderBy('users.id')
            ->orderBy('started_ms')
            ->get(['sittings.id', 'made_up_as', 'sittings.mode', 'sittings.status', 'started_ms', 'active_ms']);
        foreach ($sittings as $sitting) {
            $ago = Carbon::createFromTimestampMs((int) $sitting->started_ms)->startOfDay()->diffInDays($today);
            $outcomes = DB::table('outcomes')
                ->join('questions', 'questions.id', '=', 'outcomes.question_id')
                ->where('sitting_id', $sitting->id)
                ->orderBy('position')
                ->get(['code', 'outcome', 'first_look'])
                ->map(fn (object $one): string => "{$one->code} {$one->outcome} {$one->first_look}")
                ->implode(', ');
            $past[] = "{$sitting->made_up_as} {$ago} {$sitting->mode} {$sitting->status} {$sitting->active_ms}: {$outcomes}";
        }

        return $past;
    }
}
