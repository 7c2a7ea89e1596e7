<?php

declare(strict_types=1);

namespace App\Bench;

use App\Account\User;
use App\Assembly\Test;
use App\Assembly\TestBuilder;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Sitting\Opening;
use App\Sitting\Sitting;
use App\Sitting\TabLock;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;

/**
 * What a browser has to do: scripts that are sent for the first look at a sitting, and the work of moving on in it.
 */
final readonly class PageTrial
{
    private const QUESTIONS = 200;

    private const SCRIPT_KB = 160;

    /** React and all that a sitting knows, beside the browser's own work. */
    private const MOVE_RATIO = 2.5;

    private const MOVE_MS = 30;

    private const MOVE_SLOWLY_MS = 100;

    public function __construct(private TestBuilder $builder, private Opening $opening, private TabLock $tabLock)
    {
    }

    /** @return list<Row> */
    public function rows(): array
    {
        $user = User::query()->where('made_up_as', 'wren')->firstOrFail();
        $exam = Exam::query()->orderBy('position')->firstOrFail();
        $recipe = new Recipe(new Filters(), self::QUESTIONS, Mode::Timed);
        // Maths is fetched with the first question that has some: the first look is measured at one that has none.
        for ($i = 0; ! isset($test) || str_contains($this->firstOf($test), '$'); $i++) {
            $test = $this->builder->build(candidacy: new Candidacy($user, $exam), recipe: $recipe, seed: "page {$i}");
        }
        $sitting = Sitting::createFor($test, $user);
        $this->opening->open($sitting, 'another', take: true);
        $this->tabLock->letGo($sitting->refresh(), []);
        $server = new TrialServer(workers: 4);
        $server->start();
        $browser = new Process(
            ['node', __DIR__.'/page.mjs', "http://{$server->address}", $sitting->id, 'wren'],
            base_path(),
            timeout: 300,
        );
        $browser->mustRun();
        $server->stop();
        /**
         * @var array{
         *     scriptKb: float,
         *     moves: list<float>,
         *     byHand: list<float>,
         *     slowMoves: list<float>,
         *     slowByHand: list<float>,
         * } $told
         */
        $told = json_decode($browser->getOutput(), true, flags: JSON_THROW_ON_ERROR);

        return [
            new Row(
                what: 'Script sent for the first look at a sitting',
                took: [$told['scriptKb']],
                against: 'as sent, compressed',
                beside: [],
                goal: self::SCRIPT_KB,
                unit: 'kB',
            ),
            new Row(
                what: 'Moving on, 200 questions',
                took: $told['moves'],
                against: 'its markup put in by hand',
                beside: $told['byHand'],
                goal: self::MOVE_RATIO,
                goalMs: self::MOVE_MS,
            ),
            new Row(
                what: 'Moving on, at a quarter of the speed',
                took: $told['slowMoves'],
                against: 'its markup put in by hand',
                beside: $told['slowByHand'],
                goal: self::MOVE_RATIO,
                goalMs: self::MOVE_SLOWLY_MS,
            ),
        ];
    }

    /** What is shown of its first question, as JSON. */
    private function firstOf(Test $test): string
    {
        return (string) DB::table('test_items')
            ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
            ->where('test_id', $test->id)
            ->orderBy('position')
            ->value('shown');
    }
}
