<?php

declare(strict_types=1);

namespace App\Bench;

use App\Sitting\Recorder;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Sitting\Awake;
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

    /** @return list<Row> */
    public function rows(): array
    {
        DB::statement('create table if not exists '.BareController::TABLE.' (user_id integer, value text)');
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
                $took[$what][] = $this->crowd->time($server->address, $path, $member);
            }
        }
        $server->stop();

        return [
            new Row(
                what: 'A save',
                took: $took['first'],
                against: 'a bare route that writes a row',
                beside: $took['bare'],
                goal: 1.5,
            ),
            new Row(
                what: 'A save after 5,000 events',
                took: $took['late'],
                against: 'one of the first',
                beside: $took['first'],
                goal: 1.1,
            ),
        ];
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
            $this->recorder->record(sitting: $sitting, tab: Crowd::TAB, events: $events, awake: Awake::unknown());
        }
    }
}
