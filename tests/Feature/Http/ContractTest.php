<?php

declare(strict_types=1);

namespace Tests\Feature\Http;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Route;
use Tests\Feature\TestCase;

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
