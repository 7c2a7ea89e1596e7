<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Operation;
use App\Sitting\Closing;
use App\Sitting\Sitting;
use Illuminate\Http\Response;

final readonly class GapController
{
    public function __construct(private GapBook $book, private Closing $closing)
    {
    }

    #[Operation('Name a cause')]
    public function cause(CauseRequest $request, Sitting $sitting, int $position): Response
    {
        $this->closing->refuseUntilHandedIn($sitting);
        $this->book->nameCause($sitting, $position, $request->cause());

        return response()->noContent();
    }

    #[Operation('Move in the gap book')]
    public function move(GapRequest $request, Sitting $sitting, int $position): Response
    {
        $this->closing->refuseUntilHandedIn($sitting);
        $this->book->move($sitting, $position, $request->boolean('inBook'));

        return response()->noContent();
    }
}
