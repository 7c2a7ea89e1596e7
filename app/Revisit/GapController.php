<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Put;
use App\Sitting\Closing;
use App\Sitting\Sitting;
use Illuminate\Http\Response;

final readonly class GapController
{
    public function __construct(private GapBook $book, private Closing $closing)
    {
    }

    #[Put('/api/sittings/{sitting}/questions/{position}/cause', 'Name a cause', takes: CauseRequest::class)]
    public function cause(CauseRequest $request, Sitting $sitting, int $position): Response
    {
        $this->closing->refuseUntilHandedIn($sitting);
        $this->book->nameCause($sitting, $position, $request->cause());

        return response()->noContent();
    }

    #[Put('/api/sittings/{sitting}/questions/{position}/gap', 'Move in the gap book', takes: GapRequest::class)]
    public function move(GapRequest $request, Sitting $sitting, int $position): Response
    {
        $this->closing->refuseUntilHandedIn($sitting);
        $this->book->move($sitting, $position, $request->boolean('inBook'));

        return response()->noContent();
    }
}
