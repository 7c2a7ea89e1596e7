<?php

declare(strict_types=1);

namespace App\Library;

use App\Clock\Moment;
use App\Http\Contract\Operation;
use App\Http\Csv;
use App\Http\CsvView;
use App\Question\Candidacy;
use Illuminate\Http\JsonResponse;

/** All that one has met, found again. */
final readonly class MetController
{
    private const HEAD = [
        'question', 'topic', 'subtopic', 'kind', 'latest', 'times_met', 'met_last', 'flagged', 'starred',
        'in_gap_book', 'note', 'exam',
    ];

    public function __construct(private MetReader $reader, private CloseWords $close)
    {
    }

    #[Operation('What may have been meant', returns: CloseWordsView::class)]
    public function close(CloseWordsRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->close->of($candidacy, $request->string('words')->value()));
    }

    #[Operation('List what I have met', returns: LibraryView::class)]
    public function index(MetRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->reader->of(
            candidacy: $candidacy,
            filters: $request->filters(),
            words: $request->words(),
            page: $request->integer('page'),
            everywhere: $request->boolean('everywhere'),
        ));
    }

    #[Operation('Take what I have met away as a table', returns: CsvView::class)]
    public function table(MetRequest $request, Candidacy $candidacy): JsonResponse
    {
        $met = $this->reader->all(
            candidacy: $candidacy,
            filters: $request->filters(),
            words: $request->words(),
            everywhere: $request->boolean('everywhere'),
        );

        return new JsonResponse(new CsvView(Csv::of(self::HEAD, array_map(self::row(...), $met))));
    }

    #[Operation('Every time I met a question', returns: HistoryView::class)]
    public function history(Candidacy $candidacy, int $question): JsonResponse
    {
        return new JsonResponse($this->reader->history($candidacy, $question));
    }

    /** @return list<string|int|null> */
    private static function row(MetView $met): array
    {
        $yes = fn (bool $is): string => $is ? 'yes' : 'no';

        return [
            Csv::text($met->excerpt),
            Csv::text($met->topic),
            Csv::text($met->subtopic),
            $met->kind->value,
            $met->outcome?->value,
            $met->seen,
            $met->seenAt === 0 ? null : Moment::text($met->seenAt),
            $yes($met->flagged),
            $yes($met->starred),
            $yes($met->inGapBook),
            Csv::text($met->note),
            Csv::text($met->examName),
        ];
    }
}
