<?php

declare(strict_types=1);

namespace Tests\House;

use PhpParser\Node;
use PhpParser\Node\Arg;
use PhpParser\Node\Expr\CallLike;
use PhpParser\Node\Expr\MethodCall;
use PhpParser\Node\Expr\New_;
use PhpParser\Node\Expr\PropertyFetch;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\Node\Expr\Variable;
use PhpParser\Node\Stmt\ClassLike;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;
use ReflectionMethod;
use ReflectionNamedType;
use ReflectionProperty;

/** How the house's PHP is written where no tool of the trade looks. */
final class HandwritingTest extends TestCase
{
    private const LINE = 120;

    public function test_lines_are_under_120_characters(): void
    {
        $long = [];
        foreach (['app', 'core', 'tests'] as $root) {
            foreach (SourceFiles::under($root) as $path => $code) {
                foreach (explode("\n", $code) as $i => $line) {
                    // A sentence for people, or a text of a file, is not cut in two.
                    $sentence = preg_match('/\'[^\']{50,}|"[^"]{50,}/', $line) === 1;
                    if (str_ends_with($path, '.php') && mb_strlen($line) >= self::LINE && ! $sentence) {
                        $long[] = "{$root}/{$path}:".($i + 1);
                    }
                }
            }
        }

        self::assertSame([], $long);
    }

    public function test_more_than_three_arguments_are_named(): void
    {
        $unnamed = [];
        foreach (['app', 'core'] as $root) {
            foreach (SourceFiles::under($root) as $path => $code) {
                foreach ($this->crowdedCalls($code) as $line) {
                    $unnamed[] = "{$root}/{$path}:{$line}";
                }
            }
        }

        self::assertSame([], $unnamed);
    }

    public function test_a_crowded_call_is_noticed(): void
    {
        $call = 'new \Uplandia\Core\Revisit\Encounter(1, 2, $outcome, $sureness)';
        $code = "<?php namespace App\Clock; class Some { function call() { return {$call}; } }";

        self::assertSame([1], $this->crowdedCalls($code));
    }

    /** @return list<int> lines of calls of the house's own methods with more than three arguments by place */
    private function crowdedCalls(string $code): array
    {
        $tree = (new ParserFactory)->createForHostVersion()->parse($code) ?? [];
        $tree = (new NodeTraverser(new NameResolver))->traverse($tree);
        $finder = new NodeFinder;
        $lines = [];
        foreach ($finder->findInstanceOf($tree, ClassLike::class) as $class) {
            $calls = $finder->find($class->stmts, fn (Node $node): bool => $node instanceof CallLike);
            foreach ($calls as $call) {
                if ($call instanceof CallLike && $this->isCrowded($call, (string) $class->namespacedName)) {
                    $lines[] = $call->getStartLine();
                }
            }
        }

        return $lines;
    }

    /** The class of a property of one's own; nothing where it cannot be told. */
    private function typeOf(PropertyFetch $property, string $own): string
    {
        $name = $property->name instanceof Node\Identifier ? $property->name->toString() : '';
        $isOwn = $property->var instanceof Variable && $property->var->name === 'this'
            && property_exists($own, $name);
        $type = $isOwn ? (new ReflectionProperty($own, $name))->getType() : null;

        return $type instanceof ReflectionNamedType ? $type->getName() : '';
    }

    private function isCrowded(CallLike $call, string $own): bool
    {
        if ($call->isFirstClassCallable()) {
            return false;
        }
        $placed = array_filter($call->getArgs(), fn (Arg $arg): bool => $arg->name === null && ! $arg->unpack);
        [$class, $method] = match (true) {
            $call instanceof New_ && $call->class instanceof Node\Name => [$call->class->toString(), '__construct'],
            $call instanceof StaticCall && $call->class instanceof Node\Name
                && $call->name instanceof Node\Identifier => [$call->class->toString(), $call->name->toString()],
            $call instanceof MethodCall && $call->var instanceof Variable && $call->var->name === 'this'
                && $call->name instanceof Node\Identifier => [$own, $call->name->toString()],
            $call instanceof MethodCall && $call->var instanceof PropertyFetch
                && $call->name instanceof Node\Identifier => [
                    $this->typeOf($call->var, $own), $call->name->toString(),
                ],
            default => ['', ''],
        };
        $class = in_array(strtolower($class), ['self', 'static'], true) ? $own : $class;
        if (count($placed) <= 3 || preg_match('/^(App|Uplandia)\\\\/', $class) !== 1 || ! method_exists($class, $method)) {
            return false;
        }
        $called = new ReflectionMethod($class, $method);

        return ! $called->isVariadic() && preg_match('#/(app|core)/#', (string) $called->getFileName()) === 1;
    }
}
