<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Database\Recounts;
use App\Result\OutcomesRecount;
use Illuminate\Database\Eloquent\Builder;
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
        $cards = Card::query()->when($email !== null, fn (Builder $of): Builder => $of->whereIn(
            'user_id',
            DB::table('users')->select('id')->where('email', $email),
        ));
        foreach ($cards->lazyById(500) as $card) {
            $differs = OutcomesRecount::columnsThatDiffer($card->project(), $card->getAttributes());
            yield $differs === [] ? null : "Card {$card->id}: ".implode(', ', $differs).'.';
        }
    }
}
