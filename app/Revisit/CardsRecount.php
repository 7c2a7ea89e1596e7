<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Database\Recounts;
use App\Result\OutcomesRecount;
use Illuminate\Support\Facades\DB;

/** Works out anew, from its looks, when each card comes back, and holds it against what is stored. */
final class CardsRecount implements Recounts
{
    public function what(): string
    {
        return 'Cards';
    }

    /**
     * @param  string|null  $email  of the only candidate to look at; null: all
     * @return iterable<string|null> for each card, how it differs; null: it does not
     */
    public function differences(?string $email): iterable
    {
        $cards = DB::table('cards')
            ->join('users', 'users.id', '=', 'cards.user_id')
            ->when($email !== null, fn ($query) => $query->where('users.email', $email))
            ->select('cards.*');
        foreach ($cards->lazyById(500, 'cards.id', 'id') as $card) {
            $differs = OutcomesRecount::columnsThatDiffer(Cards::project($card), (array) $card);
            yield $differs === [] ? null : "Card {$card->id}: ".implode(', ', $differs).'.';
        }
    }
}
