<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Contract\Operation;
use App\Http\CsvView;
use App\Sitting\Closing;
use App\Sitting\KeyGate;
use App\Sitting\Sitting;
use Illuminate\Http\JsonResponse;

/** What of a result can be taken away, in open formats. */
final readonly class TakeAwayController
{
    public function __construct(
        private Closing $closing,
        private SatQuestions $questions,
        private ResultReader $results,
        private ResultTable $table,
        private Statements $statements,
        private KeyGate $gate,
    ) {
    }

    #[Operation('Take the questions away as a table', returns: CsvView::class)]
    public function table(Sitting $sitting): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);
        $lines = $this->results->lines($sitting, $this->questions->of($sitting));

        return new JsonResponse(new CsvView($this->table->csv($lines)));
    }

    #[Operation('Take the sitting away as statements', returns: StatementsView::class)]
    public function statements(Sitting $sitting): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);
        $this->gate->refuseWhole($sitting);

        return new JsonResponse(new StatementsView($this->statements->of($sitting, $this->questions->of($sitting))));
    }
}
