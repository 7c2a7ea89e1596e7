<?php

declare(strict_types=1);

namespace Tests\Feature\Handbook;

use App\Workshop\BankLoader;
use Tests\Feature\TestCase;

final class HandbookTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->candidate());
        $this->exam();
    }

    public function test_the_contents_come_in_order_and_each_section_knows_its_neighbours(): void
    {
        $sections = $this->getJson('/api/exams/small-hills/handbook')->assertOk()->json('sections');
        self::assertSame(['SECRET-REF', 'other'], array_column($sections, 'code'));
        $this->getJson('/api/exams/small-hills/handbook/SECRET-REF')
            ->assertOk()
            ->assertJsonPath('chapter', 'First chapter')
            ->assertJsonPath('before', null)
            ->assertJsonPath('after.code', 'other');
        $this->getJson('/api/exams/small-hills/handbook/other')
            ->assertJsonPath('before.title', 'On right and wrong')
            ->assertJsonPath('after', null);
    }

    public function test_a_section_that_does_not_exist_is_not_found(): void
    {
        $this->getJson('/api/exams/small-hills/handbook/nowhere')->assertNotFound();
        $this->getJson('/api/exams/nowhere/handbook')->assertNotFound();
    }

    public function test_an_explanation_refers_to_sections_that_open(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $this->open($sitting);
        $this->send($sitting, [
            $this->answer(0, 'a', 10),
            ['id' => 'c', 'seq' => 11, 'kind' => 'checked', 'position' => 0],
        ]);
        $reference = $this->getJson("/api/sittings/{$sitting}/questions/0")
            ->assertOk()
            ->json('references.0');

        self::assertSame('On right and wrong', $reference['title']);
        $this->getJson("/api/exams/small-hills/handbook/{$reference['code']}")->assertOk();
    }

    public function test_the_whole_handbook_is_its_sections_in_order(): void
    {
        $links = $this->getJson('/api/exams/small-hills/handbook')->json('sections');
        $whole = $this->getJson('/api/exams/small-hills/handbook-pages')->assertOk();

        self::assertSame(array_column($links, 'code'), array_column($whole->json('sections'), 'code'));
        foreach ($whole->json('sections') as $section) {
            self::assertSame(
                $this->getJson("/api/exams/small-hills/handbook/{$section['code']}")->json(),
                $section,
            );
        }
        $this->getJson('/api/exams/nowhere/handbook-pages')->assertNotFound();
    }

    public function test_a_section_that_left_the_files_leaves_the_handbook(): void
    {
        $folder = sys_get_temp_dir().'/uplandia-handbook-'.getmypid();
        foreach (['questions', 'handbook'] as $part) {
            @mkdir("{$folder}/{$part}", 0777, true);
        }
        copy(__DIR__.'/../exam/exam.yaml', "{$folder}/exam.yaml");
        copy(__DIR__.'/../exam/questions/all.yaml', "{$folder}/questions/all.yaml");
        file_put_contents("{$folder}/handbook/1.md", "# First chapter\n\n## other: Renamed\nStill here.\n");
        app(BankLoader::class)->load($folder);

        self::assertSame(
            [['code' => 'other', 'chapter' => 'First chapter', 'title' => 'Renamed', 'steps' => 0]],
            $this->getJson('/api/exams/small-hills/handbook')->json('sections'),
        );
    }
}
