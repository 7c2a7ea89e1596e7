<?php

declare(strict_types=1);

namespace App\Library;

use App\Account\User;
use App\Clock\Moment;
use App\Handbook\HandbookSection;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Notes and highlights in the handbook, and how far it was read. */
final readonly class PageShelf
{
    public function __construct(private Margins $margins, private ClockInterface $clock)
    {
    }

    public function of(Candidacy $candidacy): PagesKeptView
    {
        $mine = fn (string $table): Builder => DB::table($table)
            ->where($candidacy->key())
            ->whereNotNull('section');
        $notes = $mine('notes')->pluck('body', 'section');
        $highlights = $mine('highlights')->orderBy('id')->get()->groupBy('section');
        $readings = $mine('readings')->get()->keyBy('section');
        $codes = [...$notes->keys(), ...$highlights->keys(), ...$readings->keys()];
        $sections = HandbookSection::query()
            ->where('exam_id', $candidacy->exam->id)
            ->whereIn('code', $codes)
            ->orderBy('position')
            ->get(['code', 'chapter', 'title']);
        $pages = $sections->map(fn (HandbookSection $section): PageKeptView => new PageKeptView(
            code: $section->code,
            chapter: $section->chapter,
            title: $section->title,
            note: (string) ($notes[$section->code] ?? ''),
            highlights: array_values(
                ($highlights[$section->code] ?? collect())->map(Margins::highlightOf(...))->all(),
            ),
            step: (int) ($readings[$section->code]->step ?? 0),
            finished: isset($readings[$section->code]->finished_ms),
        ));
        $stopped = $readings->whereIn('section', $sections->pluck('code'))->sortByDesc('read_ms')->first();

        return new PagesKeptView($stopped === null ? null : (string) $stopped->section, array_values($pages->all()));
    }

    /** @throws Refusal when there is no such page */
    public function note(Candidacy $candidacy, string $section, string $note): void
    {
        $this->margins->note($this->text($candidacy, $section), $note);
    }

    /**
     * All highlights that the page has from now on.
     *
     * @param  list<HighlightView>  $highlights
     *
     * @throws Refusal when there is no such page
     */
    public function highlight(Candidacy $candidacy, string $section, array $highlights): void
    {
        $this->margins->highlight($this->text($candidacy, $section), $highlights);
    }

    /**
     * @param  string  $reader  the page in a browser that tells it
     * @param  int  $turn  how many it has told before: of what one page tells the later wins, whichever arrives first
     *
     * @throws Refusal when there is no such page
     */
    public function read(
        Candidacy $candidacy,
        string $section,
        int $step,
        bool $finished,
        string $reader,
        int $turn,
    ): void {
        $page = $this->text($candidacy, $section);
        $now = Moment::now($this->clock);
        $so = ['step' => $step, 'read_ms' => $now, 'reader' => $reader, 'turn' => $turn];
        DB::transaction(function () use ($page, $so, $finished, $now): void {
            DB::table('readings')->insertOrIgnore($page + $so);
            DB::table('readings')
                ->where($page)
                ->where(
                    fn (Builder $last): Builder => $last
                        ->whereNull('reader')
                        ->orWhere('reader', '!=', $so['reader'])
                        ->orWhere('turn', '<', $so['turn']),
                )
                ->update($so);
            // What was read to its end stays so.
            if ($finished) {
                DB::table('readings')->where($page)->update(['finished_ms' => $now]);
            }
        });
    }

    /**
     * @return array{user_id: int, exam_id: int, section: string}
     *
     * @throws Refusal
     */
    private function text(Candidacy $candidacy, string $section): array
    {
        if (! HandbookSection::query()->where('exam_id', $candidacy->exam->id)->where('code', $section)->exists()) {
            throw Refusal::notFound();
        }

        return [...$candidacy->key(), 'section' => $section];
    }
}
