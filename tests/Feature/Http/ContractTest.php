<?php

declare(strict_types=1);

namespace Tests\Feature\Http;

use App\Http\Contract\Day;
use App\Http\Contract\MapOf;
use App\Http\Contract\Named;
use App\Http\Contract\RuleShape;
use App\Http\Contract\Shapes;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Route;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;
use Tests\Feature\TestCase;
use Uplandia\Core\Question\Kind;

final class ContractTest extends TestCase
{
    /** @return array<string, mixed> */
    private function document(): array
    {
        return json_decode((string) file_get_contents(base_path('openapi.json')), true, 64, JSON_THROW_ON_ERROR);
    }

    public function test_every_route_is_in_the_contract_and_every_promise_has_a_route(): void
    {
        $routes = [];
        foreach (Route::getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/') && ! str_contains($route->uri(), 'fallback')) {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $routes[] = strtolower($method)." /{$route->uri()}";
                }
            }
        }
        $promised = [];
        foreach ($this->document()['paths'] as $path => $operations) {
            foreach (array_keys($operations) as $method) {
                $promised[] = "{$method} {$path}";
            }
        }

        self::assertEqualsCanonicalizing($routes, $promised);
    }

    public function test_operations_have_names_of_their_own_and_answers_have_shapes(): void
    {
        $names = [];
        foreach ($this->document()['paths'] as $operations) {
            foreach ($operations as $operation) {
                $names[] = $operation['operationId'];
                self::assertArrayHasKey('default', $operation['responses'], $operation['operationId']);
            }
        }

        self::assertSame($names, array_unique($names));
    }

    public function test_every_reference_leads_somewhere_and_no_view_takes_unknown_fields(): void
    {
        $document = $this->document();
        preg_match_all(
            '/"#\/components\/schemas\/(\w+)"/',
            (string) json_encode($document, JSON_UNESCAPED_SLASHES),
            $references,
        );
        self::assertSame(
            [],
            array_values(array_diff(array_unique($references[1]), array_keys($document['components']['schemas']))),
        );
        foreach ($document['components']['schemas'] as $name => $schema) {
            // A map has names that nobody knows beforehand, and says what stands under them.
            $isMap = ! isset($schema['properties']) && is_array($schema['additionalProperties'] ?? null);
            self::assertTrue($isMap || ($schema['required'] ?? []) !== [], $name);
        }
    }

    public function test_a_request_is_what_its_rules_let_through(): void
    {
        $shape = RuleShape::of([
            'name' => ['required', 'string', 'max:120'],
            'kind' => ['nullable', 'string', Rule::enum(Kind::class)->only([Kind::Single, Kind::Number])],
            'form' => ['string', Rule::in(['csv', 'text'])],
            'hours' => ['present', 'numeric:strict', 'between:0.5,80'],
            'days' => ['array', 'list', 'max:6'],
            'days.*' => ['required', 'string', 'date_format:Y-m-d'],
            'points' => ['array'],
            'points.*' => ['integer', 'min:1'],
            'password' => ['string', Password::min(10)],
        ]);

        self::assertSame(['name', 'hours'], $shape['required'] ?? []);
        self::assertEquals([
            'name' => ['type' => 'string', 'maxLength' => 120],
            'kind' => ['type' => ['string', 'null'], 'enum' => ['single', 'number', null]],
            'form' => ['type' => 'string', 'enum' => ['csv', 'text']],
            'hours' => ['type' => 'number', 'minimum' => 0.5, 'maximum' => 80],
            'days' => ['type' => 'array', 'maxItems' => 6, 'items' => ['type' => 'string', 'format' => 'date']],
            'points' => ['type' => 'object', 'additionalProperties' => ['type' => 'integer', 'minimum' => 1]],
            'password' => ['type' => 'string', 'minLength' => 10],
        ], $shape['properties']);
    }

    public function test_a_view_is_what_its_types_and_its_docblock_say(): void
    {
        $shapes = new Shapes();
        self::assertSame(['$ref' => '#/components/schemas/ToyShape'], $shapes->of(Toy::class));
        self::assertEquals([
            'description' => 'A view of its own, over two lines.',
            'type' => 'object',
            'properties' => [
                'kind' => ['type' => 'string', 'enum' => ['one', 'two']],
                'day' => ['description' => 'Null: none.', 'type' => ['string', 'null'], 'format' => 'date'],
                'likes' => ['type' => 'array', 'items' => ['$ref' => '#/components/schemas/ToyShape']],
                'counts' => ['type' => 'object', 'additionalProperties' => ['type' => 'integer']],
                'within' => ['oneOf' => [['$ref' => '#/components/schemas/ToyShape'], ['type' => 'null']]],
            ],
            'required' => ['kind', 'day', 'likes', 'counts', 'within'],
            'additionalProperties' => false,
        ], $shapes->made()['ToyShape']);
    }

    public function test_the_check_fails_on_a_stale_contract(): void
    {
        $file = base_path('openapi.json');
        $before = (string) file_get_contents($file);
        try {
            file_put_contents($file, str_replace('"Uplandia"', '"Lowlandia"', $before));
            self::assertSame(1, Artisan::call('contract:write', ['--check' => true]));
            self::assertStringContainsString('stale', Artisan::output());
        } finally {
            file_put_contents($file, $before);
        }
        self::assertSame(0, Artisan::call('contract:write', ['--check' => true]));
    }

    public function test_the_trial_and_the_bench_print_their_tables(): void
    {
        Artisan::call('trial', ['--people' => 60]);
        self::assertMatchesRegularExpression('/Brier skill against the base rate -?\d\.\d{3}/', Artisan::output());
        Artisan::call('bench', ['part' => 'core', '--only' => 'Marking']);
        self::assertMatchesRegularExpression('~Marking 200,000 single responses\s+\| [\d.]+ / [\d.]+ ms~', Artisan::output());
    }
}

/**
 * A view of its own,
 * over two lines.
 */
#[Named('ToyShape')]
final readonly class Toy
{
    /**
     * @param  'one'|'two'  $kind
     * @param  string|null  $day  null: none.
     * @param  list<Toy>  $likes
     */
    public function __construct(
        public string $kind,
        #[Day] public ?string $day,
        public array $likes,
        #[MapOf('int')] public object $counts,
        public ?self $within,
    ) {
    }
}
