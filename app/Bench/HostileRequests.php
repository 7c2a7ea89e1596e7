<?php

declare(strict_types=1);

namespace App\Bench;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Requests such as no honest browser sends, over every route of the contract: what is right in most parts, so that it
 * gets
 * far, and wrong in some.
 *
 * @phpstan-type HostileRequest array{method: string, path: string, headers: array<string, string>, body: string|null}
 */
final class HostileRequests
{
    private const LONG = 70_000;

    /** Of a path: web servers hang up on longer ones themselves. */
    private const LONGEST_PART = 2000;

    private readonly Randomizer $chance;

    /** @var array<string, mixed> */
    private readonly array $contract;

    /** @var list<array{string, string}> method and path */
    private readonly array $routes;

    /** @param  array<string, list<string>>  $known  values that exist, by parameter of a path */
    public function __construct(string $seed, private readonly array $known)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true)));
        $this->contract = json_decode((string) file_get_contents(base_path('openapi.json')), true);
        $routes = [];
        foreach ((array) $this->contract['paths'] as $path => $methods) {
            foreach (array_keys((array) $methods) as $method) {
                $routes[] = [(string) $method, (string) $path];
            }
        }
        $this->routes = $routes;
    }

    /**
     * @param  array<string, list<string>>  $own  values that exist for whoever sends it, by parameter of a path
     * @return HostileRequest
     */
    public function next(array $own = []): array
    {
        $known = $own + $this->known;
        [$method, $pattern] = $this->one($this->routes);
        $path = (string) preg_replace_callback(
            '/\{(\w+)\}/',
            fn (array $name): string => $this->likely(80)
                ? $this->one($known[$name[1]] ?? [] ?: ['0'])
                : rawurlencode(substr($this->text(), 0, self::LONGEST_PART)),
            $pattern,
        );
        $headers = ['Content-Type' => 'application/json', 'Accept' => 'application/json'];
        $queries = array_filter([
            $method === 'get' ? $this->narrowed($pattern) : '',
            $this->likely(15) ? $this->query() : '',
        ]);
        $path .= $queries === [] ? '' : '?'.implode('&', $queries);
        if ($this->likely(10)) {
            $headers[
                $this->one(['Content-Type', 'Accept', 'X-CSRF-TOKEN', 'X-XSRF-TOKEN', 'Range', 'If-Modified-Since'])
            ] = $this->one([
                '',
                'x',
                'application/x-www-form-urlencoded',
                'multipart/form-data',
                'text/html',
                '*/*;q=9',
            ]);
        }
        $cookies = $this->likely(15)
            ? $this->one([
                'uplandia_look[a]=1',
                'uplandia_look=%ff%00',
                'uplandia_look={"size":[1]}',
                'uplandia_session[]=x',
            ])
            : '';

        return [
            'method' => strtoupper($method),
            'path' => $path,
            'headers' => $headers + ($cookies === '' ? [] : ['Cookie' => $cookies]),
            'body' => $method === 'get' ? null : $this->body($pattern, $method),
        ];
    }

    /** What a list is narrowed by: most of what it knows, as it should be or not. */
    private function narrowed(string $path): string
    {
        $asked = [];
        foreach ($this->contract['paths'][$path]['get']['parameters'] ?? [] as $parameter) {
            if ($parameter['in'] === 'query' && ! $this->likely(20)) {
                $asked[$parameter['name']] = $this->sample($parameter['schema'], 1);
            }
        }

        return http_build_query($asked);
    }

    private function body(string $path, string $method): string
    {
        if ($this->likely(12)) {
            return $this->one([
                '',
                '{',
                'null',
                '[]',
                '7',
                '"x"',
                "\xff\xfe",
                '{"a":"\ud800"}',
                '{"a":1e999}',
                str_repeat('[', 600),
                str_repeat('{"a":', 40).'1'.str_repeat('}', 40),
                'email[]=x&password[]=y',
                "a=\0",
            ]);
        }
        $schema =
            $this->contract['paths'][$path][$method]['requestBody']['content']['application/json']['schema'] ?? [];
        $body = $this->sample($schema, 0);
        $json = json_encode($body, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);

        // Bytes that are no text cannot be encoded; they are put in afterwards.
        return str_replace('BAD-BYTES', "\xc3\x28", (string) $json);
    }

    /** @param  array<string, mixed>  $schema */
    private function sample(array $schema, int $depth): mixed
    {
        if ($this->likely($depth === 0 ? 3 : 12)) {
            return $this->nonsense();
        }
        if (isset($schema['$ref'])) {
            return $this->sample($this->contract['components']['schemas'][basename($schema['$ref'])], $depth);
        }
        if (isset($schema['enum'])) {
            return $this->one(array_values((array) $schema['enum']));
        }
        $type = is_array($schema['type'] ?? null)
            ? $this->one(array_values($schema['type']))
            : $schema['type'] ?? 'any';
        if ($type === 'object' && $depth < 5) {
            $made = [];
            foreach ($schema['properties'] ?? [] as $name => $property) {
                if ($this->likely(90)) {
                    $made[$name] = $this->sample($property, $depth + 1);
                }
            }

            return $made + ($this->likely(5) ? [$this->text() => $this->nonsense()] : []);
        }

        return match ($type) {
            'array' => $depth < 5
                ? array_map(
                    fn (): mixed => $this->sample($schema['items'] ?? [], $depth + 1),
                    range(1, $this->chance->getInt(1, 3)),
                )
                : [],
            'integer', 'number' => $this->chance->getInt(0, 30),
            'boolean' => $this->likely(50),
            'null' => null,
            'string' => $this->likely(70)
                ? $this->one(['a', 'ridge', 'wren', 'x@corvane.example', 'crowd'])
                : $this->text(),
            default => $this->one([
                null,
                ['choice' => 'a'],
                ['text' => 'x'],
                ['choices' => ['a']],
                true,
                3,
                $this->nonsense(),
            ]),
        };
    }

    private function nonsense(): mixed
    {
        return $this->one([
            null,
            true,
            false,
            -1,
            0,
            PHP_INT_MAX,
            PHP_INT_MIN,
            1.5,
            1.0e300,
            '',
            ' ',
            [],
            [[]],
            ['a' => ['b' => ['c' => 1]]],
            new \stdClass(),
            'BAD-BYTES',
            "a\0b",
            $this->text(),
            ['x', 'y'],
            [null],
            ['choice' => ['a']],
            ['text' => [1]],
            ['points' => [['x' => 'NaN', 'y' => []]]],
            ['rows' => 'x'],
            ['order' => [1, [2]]],
            ['gaps' => [[]]],
        ]);
    }

    private function text(): string
    {
        return $this->one([
            '',
            "\0",
            '%00',
            '../../etc',
            "'; drop table users; --",
            str_repeat('ä', 300),
            str_repeat('x', self::LONG),
            '1e999',
            '99999999999999999999',
            '-1',
            '0x1F',
            "\u{202E}abc",
            "\u{0}",
            '{{7*7}}',
            'null',
            'true',
            "a\r\nSet-Cookie: b=c",
            '💥',
            'server-x',
            'NaN',
            '١٢٣',
            "\xff",
            '1/0',
            '1e50',
            str_repeat('(', 300),
        ]);
    }

    private function query(): string
    {
        return $this->one([
            'email[]=x',
            'a[b][c][d]=1',
            'page=99999999999999999999',
            'x=%ff',
            'x=%00',
            '=',
            '&&&',
            'tab[]=1',
            '[]=1',
            'a[=1',
            str_repeat('a[b]', 40).'=1',
            'sort='.str_repeat('y', 3000),
        ]);
    }

    private function likely(int $percent): bool
    {
        return $this->chance->getInt(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param  list<T>  $choices
     * @return T
     */
    private function one(array $choices): mixed
    {
        return $choices[$this->chance->getInt(0, count($choices) - 1)];
    }
}
