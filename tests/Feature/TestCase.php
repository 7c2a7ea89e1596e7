<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Account\User;
use App\Console\Commands\LoadDemo;
use App\Question\Exam;
use App\Question\Question;
use App\Question\QuestionVersion;
use App\Workshop\BankLoader;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** A feature test speaks to the app over its routes; every JSON answer is held against the contract. */
abstract class TestCase extends LaravelTestCase
{
    use RefreshDatabase;

    protected const PASSWORD = LoadDemo::PASSWORD;

    // Console output is not looked at here, and mocking it would need one more package.
    public $mockConsoleOutput = false;

    /** The sitting built last. */
    protected string $built = '';

    private static ?Validator $validator = null;

    /** @var array<string, array<string, mixed>> */
    private static array $paths = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    protected function exam(): Exam
    {
        return Exam::query()->where('slug', 'small-hills')->first() ?? $this->loadSmallExam();
    }

    protected function candidate(string $extraTime = '1'): User
    {
        return User::factory()
            ->create(['extra_time' => $extraTime])
            ->refresh();
    }

    /** Twelve questions in three subtopics; in each the key is the option whose text ends in "right". */
    private function loadSmallExam(): Exam
    {
        app(BankLoader::class)->load(__DIR__.'/exam');

        return Exam::query()->where('slug', 'small-hills')->firstOrFail();
    }

    /**
     * Builds a test and returns the id of the sitting that is ready to begin.
     *
     * @param  array<string, mixed>  $choices
     */
    protected function build(array $choices = []): string
    {
        $choices += ['topics' => ['ridge', 'water'], 'pools' => [], 'count' => 6, 'mode' => 'timed'];

        return $this->built = (string) $this->postJson("/api/exams/{$this->exam()->slug}/tests", $choices)
            ->assertCreated()
            ->json('sitting');
    }

    /**
     * Ids of the parts of a question as it is now, in its author's order: only the database knows it.
     *
     * @return list<string>
     */
    protected function parts(string $code, string $sort = 'options', string $half = 'shown'): array
    {
        return array_column($this->version($code)->{$half}[$sort], 'id');
    }

    /** A question as it is now. */
    protected function version(string $code): QuestionVersion
    {
        return QuestionVersion::query()
            ->whereIn('id', Question::query()->where('code', $code)->select('version_id'))
            ->sole();
    }

    /** The id of an option of the test built last, by the letter that its place at the author's would have. */
    protected function optionId(int $position, string $letter): string
    {
        $code = DB::table('sittings')
            ->join('test_items', 'test_items.test_id', '=', 'sittings.test_id')
            ->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->where('sittings.id', $this->built)
            ->where('position', $position)
            ->value('code');

        return $this->parts((string) $code)[ord($letter) - ord('a')];
    }

    /** @return array<string, mixed> the opened sitting */
    protected function open(string $sitting, string $tab = 'tab-1', bool $take = false): array
    {
        return $this->postJson("/api/sittings/{$sitting}/open", ['tab' => $tab, 'take' => $take])
            ->assertOk()
            ->json();
    }

    /**
     * @param  list<array<string, mixed>>  $events
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    protected function send(
        string $sitting,
        array $events,
        string $tab = 'tab-1',
        ?int $awakeSince = null,
    ): TestResponse {
        return $this->postJson("/api/sittings/{$sitting}/events", [
            'tab' => $tab,
            'awakeSince' => $awakeSince,
            'events' => $events,
        ]);
    }

    /** @return array<string, mixed> */
    protected function answer(int $position, string $choice, int $seq): array
    {
        $choice = strlen($choice) === 1 ? $this->optionId($position, $choice) : $choice;

        return [
            'id' => "answer-{$position}-{$choice}-{$seq}",
            'seq' => $seq,
            'kind' => 'answered',
            'position' => $position,
            'value' => ['choice' => $choice],
        ];
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    protected function handIn(string $sitting, string $tab = 'tab-1'): TestResponse
    {
        return $this->postJson("/api/sittings/{$sitting}/hand-in", ['tab' => $tab, 'events' => []]);
    }

    /** Whoever opens the result of what ran out is asked first whether its device may still hold answers. */
    protected function closeOver(string $sitting): void
    {
        $this->getJson("/api/sittings/{$sitting}/result")->assertStatus(409);
        $this->postJson("/api/sittings/{$sitting}/close")->assertNoContent();
    }

    /**
     * The option of an opened question that is right, or one that is not: told by its text, as the payload has no key.
     *
     * @param  array<string, mixed>  $opened
     */
    protected function option(array $opened, int $position, bool $right): string
    {
        foreach ($opened['questions'][$position]['body']['options'] as $option) {
            if (str_ends_with($option['text'], 'right') === $right) {
                return $option['id'];
            }
        }
        self::fail('The question has no such option.');
    }

    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $path = (string) parse_url((string) $uri, PHP_URL_PATH);
        if (str_starts_with($path, '/api/') && $response->headers->get('Content-Type') === 'application/json') {
            $this->assertKeepsContract(strtolower($method), $path, $response);
        }

        return $response;
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $response */
    private function assertKeepsContract(string $method, string $path, TestResponse $response): void
    {
        $pattern = $this->patternOf($method, $path);
        $answers = $pattern === null ? [] : self::$paths[$pattern][$method]['responses'];
        $answer = $answers[(string) $response->status()] ?? ($answers['default'] ?? null);
        $schema = $answer['content']['application/json']['schema']['$ref'] ?? '#/components/schemas/Problem';
        $result = self::$validator?->validate(
            json_decode((string) $response->getContent()),
            "https://uplandia.example/contract{$schema}",
        );
        self::assertTrue(
            $result?->isValid(),
            "{$method} {$path} breaks the contract: ".
                json_encode($result?->error() === null ? null : (new ErrorFormatter())->format($result->error())),
        );
    }

    private function patternOf(string $method, string $path): ?string
    {
        if (self::$validator === null) {
            $document = json_decode(
                (string) file_get_contents(base_path('openapi.json')),
                true,
                64,
                JSON_THROW_ON_ERROR,
            );
            self::$paths = $document['paths'];
            self::$validator = new Validator();
            $contract = json_decode(
                (string) json_encode([
                    '$id' => 'https://uplandia.example/contract',
                    'components' => $document['components'],
                ]),
            );
            self::$validator->resolver()?->registerRaw($contract, 'https://uplandia.example/contract');
        }
        foreach (self::$paths as $pattern => $methods) {
            if (
                isset($methods[$method]) &&
                preg_match(
                    '#^'.preg_replace('/\\\\\{\w+\\\\\}/', '[^/]+', preg_quote($pattern, '#')).'$#',
                    $path,
                ) === 1
            ) {
                return $pattern;
            }
        }

        return null;
    }
}
