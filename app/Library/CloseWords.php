<?php

declare(strict_types=1);

namespace App\Library;

use App\Handbook\HandbookSection;
use App\Handbook\SectionLinkView;
use App\Question\Candidacy;
use App\Question\NamedCountView;
use App\Question\SyllabusTopic;
use App\Question\TextSearch;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\SearchText;

/** Where a search finds nothing: other spellings, and topics and pages of the handbook that are called so. */
final readonly class CloseWords
{
    private const MOST = 6;

    public function __construct(private TextSearch $texts)
    {
    }

    public function of(Candidacy $candidacy, string $asked): CloseWordsView
    {
        $search = SearchText::of($asked);
        $words = [];
        foreach ($this->texts->close($search) as $word) {
            $n = $this->texts->narrow(
                DB::table('questions')->where('exam_id', $candidacy->exam->id)->whereNull('retired_at'),
                'questions.id',
                SearchText::of($word),
            )->count();
            if ($n > 0) {
                $words[] = new CloseWordView($word, $n);
            }
        }
        $meant = array_map(fn (CloseWordView $close): SearchText => SearchText::of($close->word), $words);
        $topics = [];
        foreach ($candidacy->syllabus()->all() as $topic) {
            $topics[$topic->code] = $topic;
        }
        $sections = HandbookSection::query()
            ->where('exam_id', $candidacy->exam->id)
            ->orderBy('position')
            ->get(['code', 'chapter', 'title', 'lesson'])
            ->keyBy('code');

        return new CloseWordsView(
            words: $words,
            topics: array_map(
                fn (string $code): NamedCountView => new NamedCountView(
                    code: $code,
                    name: $topics[$code]->name,
                    n: $candidacy->syllabus()->questionsOf($topics[$code]),
                ),
                $this->called(
                    $search,
                    $meant,
                    array_map(fn (SyllabusTopic $topic): string => $topic->name, $topics),
                ),
            ),
            sections: array_map(
                fn (string $code): SectionLinkView => SectionLinkView::of($sections->firstOrFail('code', $code)),
                $this->called(
                    $search,
                    $meant,
                    $sections->map(fn (HandbookSection $one): string => "{$one->title} {$one->chapter}")->all(),
                ),
            ),
        );
    }

    /**
     * Those whose name has all of the words, before those that have one of them, or one that is spelt much like it.
     *
     * @param  list<SearchText>  $meant  words that are spelt much like one
     * @param  array<string, string>  $names  by code
     * @return list<string> codes
     */
    private function called(SearchText $search, array $meant, array $names): array
    {
        $each = [];
        foreach ($search->terms as $term) {
            if (! $term->without) {
                $each[] = SearchText::of(implode(' ', $term->words));
            }
        }
        $found = $this->texts->among($names, $search, ...$each, ...$meant);

        return array_map(strval(...), array_slice($found, 0, self::MOST));
    }
}
