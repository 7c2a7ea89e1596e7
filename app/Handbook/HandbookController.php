<?php

declare(strict_types=1);

namespace App\Handbook;

use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Question\Exam;
use App\Question\PlainExcerpt;
use App\Question\TextSearch;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Assembly\TextHits;

final class HandbookController
{
    #[Operation('List handbook sections', returns: HandbookView::class)]
    public function index(Exam $exam): JsonResponse
    {
        $sections = HandbookSection::query()
            ->where('exam_id', $exam->id)
            ->orderBy('position')
            ->get(['code', 'chapter', 'title', 'lesson']);

        return new JsonResponse(
            new HandbookView(
                $exam->slug,
                $exam->name,
                array_map(SectionLinkView::of(...), array_values($sections->all())),
            ),
        );
    }

    #[Operation('Read the whole handbook', returns: WholeHandbookView::class)]
    public function whole(Exam $exam): JsonResponse
    {
        $sections = array_values(
            HandbookSection::query()->where('exam_id', $exam->id)->orderBy('position')->get()->all(),
        );

        return new JsonResponse(
            new WholeHandbookView(
                $exam->slug,
                $exam->name,
                array_map(
                    fn (HandbookSection $section, int $i): SectionView => SectionView::of(
                        section: $section,
                        before: $sections[$i - 1] ?? null,
                        after: $sections[$i + 1] ?? null,
                    ),
                    $sections,
                    array_keys($sections),
                ),
            ),
        );
    }

    #[Operation('Find something in the handbook', returns: HandbookHitsView::class)]
    public function search(HandbookSearchRequest $request, Exam $exam, TextSearch $texts): JsonResponse
    {
        $search = SearchText::of($request->string('words')->value());
        $hits = new TextHits($search);
        $sections = HandbookSection::query()->where('exam_id', $exam->id)->orderBy('position')->get()->keyBy('id');
        $bodies = $sections->map(fn (HandbookSection $section): string => PlainExcerpt::whole(
            implode(' ', [$section->body, ...array_column($section->lesson ?? [], 'body')]),
        ));
        $whole = $sections->map(
            fn (HandbookSection $one): string => "{$one->title} {$one->chapter} {$bodies[$one->id]}",
        );
        $found = [];
        foreach ($sections->only($texts->among($whole->all(), $search)) as $section) {
            $found[] = new HandbookHitView(
                code: $section->code,
                chapter: $section->chapter,
                title: $section->title,
                excerpt: $hits->around((string) $bodies[$section->id]),
            );
        }

        return new JsonResponse(new HandbookHitsView($found));
    }

    #[Operation('Read the reference tables', returns: ReferenceTablesView::class)]
    public function tables(Exam $exam): JsonResponse
    {
        $tables = ReferenceTable::query()->where('exam_id', $exam->id)->orderBy('position')->get();

        return new JsonResponse(
            new ReferenceTablesView(
                array_map(
                    fn (ReferenceTable $table) => new ReferenceTableView($table->code, $table->title, $table->body),
                    array_values($tables->all()),
                ),
            ),
        );
    }

    #[Operation('Read a handbook section', returns: SectionView::class)]
    public function show(Exam $exam, string $section): JsonResponse
    {
        $sections = HandbookSection::query()->where('exam_id', $exam->id);
        $found = (clone $sections)->where('code', $section)->first() ?? throw Refusal::notFound();
        $before = (clone $sections)->where('position', '<', $found->position)->orderByDesc('position')->first();
        $after = (clone $sections)->where('position', '>', $found->position)->orderBy('position')->first();

        return new JsonResponse(SectionView::of(section: $found, before: $before, after: $after));
    }
}
