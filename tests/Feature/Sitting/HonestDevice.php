<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

/**
 * A page as resources/js/features/sitting/sync has it, on a machine whose lid is closed now and then. It knows the
 * server's time by the server's last word and by a clock that stands still or goes on while the machine sleeps.
 */
final class HonestDevice
{
    private const SLEPT_MS = 90_000;

    private int $steady = 0;

    private int $saidAt = 0;

    private int $last;

    private int $from;

    private bool $lost = false;

    /** @var list<array{int, int}> */
    private array $spells = [];

    private int $seq;

    /** @var list<array<string, mixed>> */
    public array $waiting = [];

    /**
     * @param  int  $said  the server's last word on the time
     * @param  bool  $goesOn  whether its steady clock goes on in sleep
     */
    public function __construct(private int $said, int $lastSeq, private readonly bool $goesOn)
    {
        $this->last = $this->from = $said;
        $this->seq = $lastSeq;
    }

    public function now(): int
    {
        return $this->said + $this->steady - $this->saidAt;
    }

    /** @param  int  $wall  what time it is after it */
    public function ran(int $ms, int $wall): void
    {
        $this->steady += $ms;
        $this->look($wall - $ms);
        $this->last = $wall;
    }

    public function slept(int $ms): void
    {
        $this->steady += $this->goesOn ? $ms : 0;
    }

    /** @param  array<string, mixed>  $event */
    public function act(array $event, int $wall): void
    {
        $this->look($wall);
        $this->seq++;
        $this->waiting[] = ['id' => "e{$this->seq}", 'seq' => $this->seq, 'madeAt' => $this->now()] + $event;
        $this->keep();
    }

    /** @return array<string, mixed> */
    public function letter(int $wall): array
    {
        $this->look($wall);
        $this->keep();

        return [
            'tab' => 'tab-1',
            'awakeSince' => $this->lost ? null : $this->from,
            'awake' => $this->spells,
            'events' => $this->waiting,
        ];
    }

    /** A page that was loaded anew knows only what is kept on the device. */
    public function reloaded(): array
    {
        return ['tab' => 'tab-1', 'awake' => $this->spells, 'events' => $this->waiting];
    }

    public function heard(int $now): void
    {
        [$this->said, $this->saidAt, $this->lost, $this->from] = [$now, $this->steady, false, $now];
        $this->waiting = [];
        $this->spells = array_values(array_filter($this->spells, fn (array $spell): bool => $spell[1] > $now));
    }

    private function look(int $wall): void
    {
        if ($wall - $this->last > self::SLEPT_MS) {
            [$this->from, $this->lost] = [$this->now(), true];
        }
        $this->last = $wall;
    }

    private function keep(): void
    {
        $last = count($this->spells) - 1;
        if ($last >= 0 && $this->spells[$last][0] === $this->from) {
            $this->spells[$last][1] = $this->now();
        } else {
            $this->spells[] = [$this->from, $this->now()];
        }
    }
}
