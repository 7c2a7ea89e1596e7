<?php

declare(strict_types=1);

namespace App\Http\Contract;

use App\Http\Form;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use LogicException;
use ReflectionMethod;
use ReflectionNamedType;

/**
 * The one contract of browser and server: each route with what its method says and takes, and the shapes of that.
 *
 * @phpstan-import-type Schema from Shapes
 */
final class Contract
{
    public const FILE = 'openapi.json';

    private const DESCRIPTION = 'What the browser and the server say to each other. Moments are Unix milliseconds of '.
        'the server\'s clock; exact numbers are decimal strings.';

    private Shapes $shapes;

    private function __construct()
    {
        $this->shapes = new Shapes();
    }

    /** The contract as it should be on disk. */
    public static function json(): string
    {
        return (new self())->encoded();
    }

    private function encoded(): string
    {
        $paths = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/') && ! $route->isFallback) {
                $paths["/{$route->uri()}"][strtolower($route->methods()[0])] = $this->operation($route);
            }
        }
        ksort($paths);
        $document = [
            'openapi' => '3.1.0',
            'info' => ['title' => 'Uplandia', 'version' => '1', 'description' => self::DESCRIPTION],
            'paths' => $paths,
            'components' => ['schemas' => $this->shapes->made()],
        ];
        $options = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;

        return json_encode($document, $options)."\n";
    }

    /** @return Schema */
    private function operation(Route $route): array
    {
        $method = new ReflectionMethod($route->getControllerClass() ?? '', $route->getActionMethod());
        $said = ($method->getAttributes(Operation::class)[0] ?? null)?->newInstance()
            ?? throw new LogicException("{$route->getActionName()} does not say what it does.");
        $words = strtolower((string) preg_replace('/[^A-Za-z]+/', ' ', $said->summary));
        $takes = $said->file === null ? self::formOf($method) : null;
        $isQuery = in_array('GET', $route->methods(), true);

        return array_filter([
            'summary' => $said->summary,
            'operationId' => lcfirst(str_replace(' ', '', ucwords(trim($words)))),
            'parameters' => [
                ...array_map(
                    static fn (string $name): array => [
                        'name' => $name,
                        'in' => 'path',
                        'required' => true,
                        'schema' => ['type' => $name === 'position' ? 'integer' : 'string'],
                    ],
                    $route->parameterNames(),
                ),
                ...($isQuery && $takes !== null ? $this->query($takes) : []),
            ],
            'requestBody' => match (true) {
                $said->file !== null => ['required' => true, 'content' => self::file($said->file)],
                $takes !== null && ! $isQuery => ['required' => true, 'content' => $this->body($takes)],
                default => null,
            },
            // By plus and not by spreading, which would number them anew.
            'responses' => [$said->returns === null ? 204 : $said->status => $this->answer($said->returns)] + [
                'default' => [
                    'description' => 'It could not be done; the message says why.',
                    'content' => $this->body(ProblemView::class),
                ],
            ],
        ]);
    }

    /**
     * What a list is narrowed and ordered by stands in its address.
     *
     * @param  class-string<Form>  $form
     * @return list<Schema>
     */
    private function query(string $form): array
    {
        $this->shapes->of($form);
        $shape = $this->shapes->shapeOf($form);
        $parameters = [];
        foreach ($shape['properties'] ?? [] as $name => $schema) {
            $parameters[] = array_filter([
                'name' => $name,
                'in' => 'query',
                'description' => $schema['description'] ?? null,
                'required' => in_array($name, $shape['required'] ?? [], true),
                'schema' => array_diff_key($schema, ['description' => null]),
            ]);
        }

        return $parameters;
    }

    /** @return Schema */
    private function answer(?string $returns): array
    {
        return $returns === null
            ? ['description' => 'Done.']
            : [
                'description' => 'As asked.',
                'content' => class_exists($returns) ? $this->body($returns) : self::file($returns),
            ];
    }

    /** @return class-string<Form>|null the body that a method of a controller takes */
    private static function formOf(ReflectionMethod $method): ?string
    {
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), Form::class)) {
                return $type->getName();
            }
        }

        return null;
    }

    /**
     * @param  class-string  $class
     * @return Schema
     */
    private function body(string $class): array
    {
        return ['application/json' => ['schema' => $this->shapes->of($class)]];
    }

    /** @return Schema */
    private static function file(string $type): array
    {
        return [$type => ['schema' => ['type' => 'string', 'format' => 'binary']]];
    }
}
