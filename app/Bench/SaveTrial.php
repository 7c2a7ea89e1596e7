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
        [$member] = $this->crowd->gather(1);
        $server = new TrialServer(workers: 1);
        $server->start();
        $bare = $this->median($server, $member, '/bench/row');
        $save = $this->median($server, $member, "/api/sittings/{$member->sitting}/events");
        $this->fill($member);
        $late = $this->median($server, $member, "/api/sittings/{$member->sitting}/events");
        $server->stop();
        $row = fn (string $what, float $ms, float $wanted, float $beside): array => [
            $what, sprintf('%.1f ms', $ms), sprintf('≤ %.1f ×', $wanted), $ms / $beside <= $wanted ? 'yes' : 'NO',
            sprintf('%.2f', $ms / $beside), '',
        ];

        return [
            $row('A save, beside a bare route that writes a row', $save, 1.5, $bare),
            $row('A save after 5,000 events, beside the first', $late, 1.1, $save),
        ];
    }

    /** Milliseconds of the saves in the middle. */
    private function median(TrialServer $server, CrowdMember $member, string $path): float
    {
        $took = [];
        for ($i = 0; $i < self::SAVES; $i++) {
            $took[] = $this->crowd->time("http://{$server->address}{$path}", $member);
        }
        sort($took);

        return $took[intdiv(self::SAVES, 2)];
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
