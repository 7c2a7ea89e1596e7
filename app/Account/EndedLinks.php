<?php

declare(strict_types=1);

namespace App\Account;

use App\Clock\Moment;
use App\Http\Refusal;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Until when links to an account work no more, by the print of their address: it tells nothing of who was here. */
final readonly class EndedLinks
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /** Ends all that were written to an address so far. */
    public function end(string $email): void
    {
        $now = Moment::now($this->clock);
        DB::table('ended_links')->where('until_ms', '<', $now - Newcomer::LINK_LASTS_MS)->delete();
        DB::table('ended_links')->upsert(['print' => self::print($email), 'until_ms' => $now], ['print']);
    }

    /** @throws Refusal when its link has ended */
    public function refuse(Newcomer $newcomer): void
    {
        $ended = DB::table('ended_links')->where('print', self::print($newcomer->email))->value('until_ms');
        if (is_numeric($ended) && $newcomer->askedAt() <= (int) $ended) {
            throw Newcomer::stale();
        }
    }

    private static function print(string $email): string
    {
        return hash_hmac('sha256', $email, (string) config('app.key'));
    }
}
