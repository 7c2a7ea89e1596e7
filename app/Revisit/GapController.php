<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Put;
use App\Sitting\Closing;
use App\Sitting\Sitting;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

final readonly class GapController
{
    public function __construct(private GapBook $book, private Closing $closing)
    {
    }

    #[Put('/api/sittings/{sitting}/questions/{position}/gap', 'Say what the gap is', takes: GapRequest::class)]
    public function update(GapRequest $request, Sitting $sitting, int $position): Response
    {
        $this->closing->settleIfOver($sitting);
        DB::transaction(function () use ($request, $sitting, $position): void {
            if ($request->saysCause()) {
                $this->book->nameCause($sitting, $position, $request->cause());
            }
            $into = $request->into();
            if ($into !== null) {
                $this->book->move($sitting, $position, $into);
            }
        });

        return response()->noContent();
    }
}
