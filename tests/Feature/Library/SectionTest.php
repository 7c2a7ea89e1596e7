<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** What is asked on a section of the handbook, and what is found in it. */
final class SectionTest extends TestCase
{
    use SitsByLetters;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->candidate());
        $this->exam();
    }

    public function test_questions_on_a_section_are_counted_as_one_has_met_them(): void
    {
        $path = '/api/exams/small-hills/handbook/SECRET-REF/questions';
        $this->getJson($path)->assertOk()->assertExactJson(['all' => 12, 'seen' => 0, 'right' => 0, 'gaps' => 0]);
        $this->sit('rrmb-', ['mode' => 'untimed']);
        $this->getJson($path)->assertExactJson(['all' => 12, 'seen' => 4, 'right' => 2, 'gaps' => 1]);
        DB::table('questions')->whereIn('id', DB::table('outcomes')->where('position', 0)->select('question_id'))
            ->update(['retired_at' => '2026-01-01']);
        $this->getJson($path)->assertExactJson(['all' => 11, 'seen' => 3, 'right' => 1, 'gaps' => 1]);
        // Another exam may have a section of the same name.
        DB::table('exams')->insert([
            'slug' => 'else', 'name' => 'Else', 'summary' => 'x', 'rules' => '{}', 'position' => 9,
        ]);
        DB::table('questions')->whereNotIn('id', DB::table('outcomes')->select('question_id'))->limit(1)
            ->update(['exam_id' => DB::table('exams')->where('slug', 'else')->value('id')]);
        $this->getJson($path)->assertJsonPath('all', 10);
        $this->getJson('/api/exams/small-hills/handbook/other/questions')->assertJsonPath('all', 0);
        $this->getJson('/api/exams/small-hills/handbook/nowhere/questions')->assertNotFound();
        // What others have met is theirs.
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->getJson($path)->assertJsonPath('seen', 0);
    }

    public function test_a_short_quiz_ends_a_section(): void
    {
        DB::table('question_tags')->where('family', '_reads')->limit(9)->update(['value' => 'other']);
        $id = $this->postJson('/api/exams/small-hills/handbook/SECRET-REF/quiz')->assertCreated()->json('sitting');
        $sitting = Sitting::query()->findOrFail($id);
        self::assertSame(['tutor', 3, 'Quiz: On right and wrong'], [
            $sitting->mode->value, $sitting->questions, $sitting->name,
        ]);
        self::assertSame(
            DB::table('question_tags')->where('value', 'SECRET-REF')->pluck('question_id')->sort()->values()->all(),
            DB::table('test_items')->where('test_id', $sitting->test_id)->pluck('question_id')
                ->sort()->values()->all(),
        );
        $id = $this->postJson('/api/exams/small-hills/handbook/other/quiz')->assertCreated()->json('sitting');
        self::assertSame(5, Sitting::query()->findOrFail($id)->questions);
        DB::table('question_tags')->where('family', '_reads')->delete();
        $this->postJson('/api/exams/small-hills/handbook/other/quiz')->assertUnprocessable()
            ->assertJsonPath('reason', 'too_few');
        $this->postJson('/api/exams/small-hills/handbook/nowhere/quiz')->assertNotFound();
    }

    public function test_the_handbook_is_searched(): void
    {
        $find = fn (mixed $words) => $this->postJson('/api/exams/small-hills/handbook-search', ['words' => $words]);
        $hits = $find('section handbook')->assertOk()->json('hits');
        self::assertSame(['SECRET-REF', 'other'], array_column($hits, 'code'));
        self::assertSame(['On right and wrong'], array_column($find('weight')->json('hits'), 'title'));
        self::assertStringContainsString('weight', $find('weight')->json('hits.0.excerpt'));
        self::assertStringNotContainsString('**', $find('weight')->json('hits.0.excerpt'));
        self::assertSame(['other'], array_column($find('handbook -weight')->json('hits'), 'code'));
        self::assertSame([], $find('avalanche')->json('hits'));
        self::assertSame([], $find('?!')->assertOk()->json('hits'));
        $find('')->assertUnprocessable()->assertJsonPath('message', 'Say what to look for.');
        $find(['x'])->assertUnprocessable();
        $find(str_repeat('x', 201))->assertUnprocessable()
            ->assertJsonPath('message', 'A search can have up to 200 letters.');
    }
}
