<?php

declare(strict_types=1);

namespace App\Http\Contract;

use App\Http\Form;
use BackedEnum;
use LogicException;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprIntegerNode;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocTextNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionAttribute;
use ReflectionClass;
use ReflectionEnum;
use ReflectionMethod;
use ReflectionParameter;
use ReflectionProperty;

/**
 * JSON Schema of views and requests: of a view from the types of its properties and what its docblock says of them, of
 * a request from its rules.
 *
 * @phpstan-type Schema array<string, mixed>
 */
final class Shapes
{
    private const SCALARS = ['int' => 'integer', 'float' => 'number', 'string' => 'string', 'bool' => 'boolean'];

    private const NULL = ['type' => 'null'];

    private Lexer $lexer;

    private TypeParser $types;

    private PhpDocParser $docs;

    /** @var array<string, Schema> by name */
    private array $made = [];

    public function __construct()
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->types = new TypeParser($config, $constants);
        $this->docs = new PhpDocParser($config, $this->types, $constants);
    }

    /** @return array<string, Schema> all that was referred to, by name */
    public function made(): array
    {
        ksort($this->made);

        return $this->made;
    }

    /**
     * @param  class-string  $class
     * @return Schema a reference; what it leads to is made
     */
    public function of(string $class): array
    {
        $name = self::nameOf($class);
        if (! isset($this->made[$name])) {
            // Something may be made of its like.
            $this->made[$name] = [];
            $this->made[$name] = is_subclass_of($class, Form::class) ? $this->form($class) : $this->view($class);
        }

        return ['$ref' => "#/components/schemas/{$name}"];
    }

    /**
     * @param  class-string  $class  one that was referred to
     * @return array{properties?: array<string, Schema>, required?: list<string>}
     */
    public function shapeOf(string $class): array
    {
        /** @var array{properties?: array<string, Schema>, required?: list<string>} */
        return $this->made[self::nameOf($class)] ?? [];
    }

    /** @param  class-string  $class */
    private static function nameOf(string $class): string
    {
        return self::said($class, Named::class)[0]->name
            ?? (string) preg_replace('/View$/', '', class_basename($class));
    }

    /**
     * @template Said of object
     *
     * @param  class-string  $class
     * @param  class-string<Said>  $attribute
     * @return list<Said>
     */
    private static function said(string $class, string $attribute): array
    {
        return array_map(
            static fn (ReflectionAttribute $one): object => $one->newInstance(),
            (new ReflectionClass($class))->getAttributes($attribute),
        );
    }

    /**
     * A view always has all of its properties and no others.
     *
     * @param  class-string  $class
     * @return Schema
     */
    private function view(string $class): array
    {
        $reflected = new ReflectionClass($class);
        $names = self::namesIn($reflected);
        $constructor = $reflected->getConstructor();
        $tags = [];
        foreach (($constructor === null ? null : $this->doc($constructor))?->getParamTagValues() ?? [] as $tag) {
            $tags[ltrim($tag->parameterName, '$')] = $tag;
        }
        $optional = (self::said($class, Named::class)[0]->sent ?? false) ? self::withDefault($constructor) : [];
        $properties = [];
        foreach ($reflected->getProperties(ReflectionProperty::IS_PUBLIC) as $property) {
            $tag = $property->isPromoted() ? $tags[$property->getName()] ?? null : null;
            $properties[$property->getName()] = self::described(
                $tag->description ?? self::textOf($this->doc($property)),
                $this->property($property, $tag->type ?? $this->parsed((string) $property->getType()), $names),
            );
        }

        return self::described(self::textOf($this->doc($reflected)), [
            'type' => 'object',
            'properties' => $properties,
            'required' => array_values(array_diff(array_keys($properties), $optional)),
            'additionalProperties' => false,
        ]);
    }

    /** @return list<string> names of parameters */
    private static function withDefault(?ReflectionMethod $method): array
    {
        $optional = array_filter(
            $method?->getParameters() ?? [],
            static fn (ReflectionParameter $parameter): bool => $parameter->isDefaultValueAvailable(),
        );

        return array_values(array_map(static fn (ReflectionParameter $one): string => $one->getName(), $optional));
    }

    /**
     * @param  array<string, class-string>  $names
     * @return Schema
     */
    private function property(ReflectionProperty $property, TypeNode $type, array $names): array
    {
        foreach ($property->getAttributes(MapOf::class) as $map) {
            $of = $this->type($this->parsed($map->newInstance()->type), $names);
            $schema = ['type' => 'object', 'additionalProperties' => $of ?: true];

            return $property->getType()?->allowsNull() === true ? self::orNull($schema) : $schema;
        }
        foreach ($property->getAttributes(Like::class) as $like) {
            return $this->of($like->newInstance()->request);
        }
        $schema = $this->type($type, $names);
        if ($property->getAttributes(Day::class) === []) {
            return $schema;
        }

        return isset($schema['items'])
            ? ['items' => ['format' => 'date'] + (array) $schema['items']] + $schema
            : ['format' => 'date'] + $schema;
    }

    /**
     * @param  class-string<Form>  $class
     * @return Schema
     */
    private function form(string $class): array
    {
        $shape = RuleShape::of((new $class())->rules());
        $reflected = new ReflectionClass($class);
        foreach (self::said($class, Says::class) as $says) {
            $told = is_array($says->type)
                ? $says->type
                : $this->type($this->parsed($says->type), self::namesIn($reflected));
            $shape['properties'][$says->field] = self::described(
                $says->description,
                $told + ($shape['properties'][$says->field] ?? []),
            );
            if ($says->needed) {
                $shape['required'][] = $says->field;
            }
        }

        return self::described(self::textOf($this->doc($reflected)), $shape);
    }

    /**
     * @param  array<string, class-string>  $names
     * @return Schema
     */
    private function type(TypeNode $type, array $names): array
    {
        return match (true) {
            $type instanceof NullableTypeNode => self::orNull($this->type($type->type, $names)),
            $type instanceof UnionTypeNode => $this->union($type, $names),
            $type instanceof GenericTypeNode => $this->generic($type, $names),
            $type instanceof ConstTypeNode && $type->constExpr instanceof ConstExprStringNode => [
                'type' => 'string', 'enum' => [$type->constExpr->value],
            ],
            $type instanceof ConstTypeNode && $type->constExpr instanceof ConstExprIntegerNode => [
                'type' => 'integer', 'enum' => [(int) $type->constExpr->value],
            ],
            $type instanceof IdentifierTypeNode => $this->named($type->name, $names),
            default => throw new LogicException("There is no schema for the type {$type}."),
        };
    }

    /**
     * @param  array<string, class-string>  $names
     * @return Schema
     */
    private function generic(GenericTypeNode $type, array $names): array
    {
        $of = array_map(fn (TypeNode $one): array => $this->type($one, $names), array_values($type->genericTypes));

        return match ((string) $type->type) {
            'list' => ['type' => 'array', 'items' => $of[0] ?? []],
            'array' => ['type' => 'object', 'additionalProperties' => ($of[1] ?? []) ?: true],
            'value-of' => $of[0] ?? [],
            default => throw new LogicException("There is no schema for the type {$type}."),
        };
    }

    /**
     * @param  array<string, class-string>  $names
     * @return Schema
     */
    private function named(string $name, array $names): array
    {
        if (isset(self::SCALARS[$name])) {
            return ['type' => self::SCALARS[$name]];
        }
        if ($name === 'mixed') {
            return [];
        }
        if ($name === 'object') {
            return ['type' => 'object'];
        }
        if ($name === 'null') {
            return self::NULL;
        }
        $class = $names[$name] ?? (str_contains($name, '\\') ? $name : ($names[''] ?? '')."\\{$name}");
        if (is_a($class, BackedEnum::class, true)) {
            $backed = (string) (new ReflectionEnum($class))->getBackingType();

            return ['type' => self::SCALARS[$backed], 'enum' => array_column($class::cases(), 'value')];
        }

        return class_exists($class)
            ? $this->of($class)
            : throw new LogicException("There is no schema for the type {$name}.");
    }

    /**
     * @param  array<string, class-string>  $names
     * @return Schema
     */
    private function union(UnionTypeNode $union, array $names): array
    {
        $all = array_map(fn (TypeNode $one): array => $this->type($one, $names), $union->types);
        $others = array_values(array_filter($all, static fn (array $one): bool => $one !== self::NULL));
        $enums = array_column($others, 'enum');
        $one = match (true) {
            count($others) === 1 => $others[0],
            count($enums) === count($others) => [
                'type' => $others[0]['type'] ?? 'string',
                'enum' => array_merge(...$enums),
            ],
            // Of one that has other types too, each is one.
            array_column($others, '$ref') === [] => ['type' => array_column($others, 'type')],
            default => ['oneOf' => $others],
        };

        return count($others) < count($all) ? self::orNull($one) : $one;
    }

    /**
     * @param  Schema  $schema
     * @return Schema
     */
    public static function orNull(array $schema): array
    {
        if (! isset($schema['type'])) {
            return ['oneOf' => [...(array) ($schema['oneOf'] ?? [$schema]), self::NULL]];
        }

        return [
            'type' => [...(array) $schema['type'], 'null'],
            ...(isset($schema['enum']) ? ['enum' => [...(array) $schema['enum'], null]] : []),
        ] + $schema;
    }

    /**
     * @param  Schema  $schema
     * @return Schema
     */
    private static function described(string $text, array $schema): array
    {
        $text = trim((string) preg_replace('/\s+/', ' ', $text));

        return $text === '' ? $schema : ['description' => ucfirst($text)] + $schema;
    }

    private function parsed(string $type): TypeNode
    {
        return $this->types->parse(new TokenIterator($this->lexer->tokenize($type)));
    }

    /** @param  ReflectionClass<object>|ReflectionMethod|ReflectionProperty  $of */
    private function doc(ReflectionClass|ReflectionMethod|ReflectionProperty $of): ?PhpDocNode
    {
        $comment = $of->getDocComment();

        return $comment === false ? null : $this->docs->parse(new TokenIterator($this->lexer->tokenize($comment)));
    }

    private static function textOf(?PhpDocNode $doc): string
    {
        $texts = array_filter(
            $doc->children ?? [],
            static fn (object $child): bool => $child instanceof PhpDocTextNode && $child->text !== '',
        );

        return implode(' ', array_map(strval(...), $texts));
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, class-string> what names its file has for classes; '': its own namespace
     */
    private static function namesIn(ReflectionClass $class): array
    {
        preg_match_all(
            '/^use ([\w\\\\]+?)(?: as (\w+))?;/m',
            (string) file_get_contents((string) $class->getFileName()),
            $found,
            PREG_SET_ORDER,
        );
        $names = ['' => $class->getNamespaceName(), 'self' => $class->getName()];
        foreach ($found as $one) {
            $names[$one[2] ?? class_basename($one[1])] = $one[1];
        }

        /** @var array<string, class-string> $names */
        return $names;
    }
}
