<?php

declare(strict_types=1);

namespace App\Bench;

use App\Sitting\Recorder;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;

/** What a save costs beside a bare route of the same server, at first and after thousands of events. */
final class SaveTrial
{
    private const SAVES = 150;

    private const MANY = 5000;

    public function __construct(private readonly Recorder $recorder, private readonly Crowd $crowd)
    {
    }

    /** @return list<list<string>> rows of the bench's table */
    public function rows(): array
    {
        DB::statement('create table if not exists '.BareRowController::TABLE.' (user_id integer, value text)');
        [$first, $late] = $this->crowd->gather(2);
        $this->fill($late);
        $server = new TrialServer(workers: 1);
        $server->start();
        $paths = [
            'bare' => [$first, '/bench/row'],
            'first' => [$first, "/api/sittings/{$first->sitting}/events"],
            'late' => [$late, "/api/sittings/{$late->sitting}/events"],
        ];
        // In turn, so that whatever else the machine does falls on all of them.
        $took = ['bare' => [], 'first' => [], 'late' => []];
        for ($i = 0; $i < self::SAVES; $i++) {
            foreach ($paths as $what => [$member, $path]) {
                $took[$what][] = $this->crowd->time("http://{$server->address}{$path}", $member);
            }
        }
        $server->stop();

        return [
            self::row(
                what: 'A save, beside a bare route that writes a row',
                took: $took['first'],
                wanted: 1.5,
                beside: $took['bare'],
            ),
            self::row(
                what: 'A save after 5,000 events, beside one of the first',
                took: $took['late'],
                wanted: 1.1,
                beside: $took['first'],
            ),
        ];
    }

    /**
     * @param  list<float>  $took  milliseconds
     * @param  list<float>  $beside
     * @return list<string> row of the bench's table
     */
    private static function row(string $what, array $took, float $wanted, array $beside): array
    {
        $ratio = self::median(array_map(fn (float $one, float $other): float => $one / $other, $took, $beside));

        return [
            $what,
            sprintf('%.1f ms', self::median($took)),
            sprintf('≤ %.1f ×', $wanted),
            $ratio <= $wanted ? 'yes' : 'NO',
            sprintf('%.2f', $ratio),
            '',
        ];
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return $values[intdiv(count($values), 2)];
    }

    private function fill(CrowdMember $member): void
    {
        $sitting = Sitting::query()->findOrFail($member->sitting);
        while ($member->seq < self::MANY) {
            $events = [];
            for ($i = 0; $i < 25; $i++) {
                foreach ($member->events() as $event) {
                    $events[] = new Event(
                        id: $event['id'],
                        seq: $event['seq'],
                        kind: EventKind::from($event['kind']),
                        at: (int) (microtime(true) * 1000),
                        position: $event['position'],
                        value: $event['value'],
                    );
                }
            }
            $this->recorder->record(sitting: $sitting, tab: Crowd::TAB, events: $events, awakeSince: null);
        }
    }
}
