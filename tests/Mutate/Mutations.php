<?php

declare(strict_types=1);

namespace Tests\Mutate;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Scalar;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\ParentConnectingVisitor;
use PhpParser\ParserFactory;

/**
 * Small changes that could be a slip of the hand: a comparison that takes its limit in or leaves it out, a turned sign, another number,
 * least for greatest, and for or.
 */
final class Mutations
{
    private const SWAPS = [
        Expr\BinaryOp\Smaller::class => ['<', '<='],
        Expr\BinaryOp\SmallerOrEqual::class => ['<=', '<'],
        Expr\BinaryOp\Greater::class => ['>', '>='],
        Expr\BinaryOp\GreaterOrEqual::class => ['>=', '>'],
        Expr\BinaryOp\Identical::class => ['===', '!=='],
        Expr\BinaryOp\NotIdentical::class => ['!==', '==='],
        Expr\BinaryOp\BooleanAnd::class => ['&&', '||'],
        Expr\BinaryOp\BooleanOr::class => ['||', '&&'],
        Expr\BinaryOp\Plus::class => ['+', '-'],
        Expr\BinaryOp\Minus::class => ['-', '+'],
        Expr\BinaryOp\Mul::class => ['*', '/'],
        Expr\BinaryOp\Div::class => ['/', '*'],
    ];

    private const CALLS = ['min' => 'max', 'max' => 'min', 'floor' => 'ceil', 'ceil' => 'floor', 'sin' => 'cos', 'cos' => 'sin'];

    /** Numbers are made so much larger. */
    private const FACTOR = 1.1;

    /**
     * All that can be done to a file.
     *
     * @return list<array{from: int, to: int, line: int, old: string, new: string}> places in the text
     */
    public static function in(string $code): array
    {
        $tree = (new ParserFactory)->createForNewestSupportedVersion()->parse($code) ?? [];
        $traverser = new NodeTraverser(new ParentConnectingVisitor);
        $tree = $traverser->traverse($tree);
        $out = [];
        foreach ((new NodeFinder)->find($tree, fn (Node $n): bool => true) as $node) {
            $change = self::of($node, $code);
            if ($change !== null) {
                [$from, $old, $new] = $change;
                $out[] = [
                    'from' => $from,
                    'to' => $from + strlen($old),
                    'line' => substr_count(substr($code, 0, $from), "\n") + 1,
                    'old' => $old,
                    'new' => $new,
                ];
            }
        }

        return $out;
    }

    /** @return array{int, string, string}|null where, what stands there, what shall stand there */
    private static function of(Node $node, string $code): ?array
    {
        if ($node instanceof Expr\BinaryOp && isset(self::SWAPS[$node::class])) {
            [$old, $new] = self::SWAPS[$node::class];
            $after = $node->left->getEndFilePos() + 1;
            $at = strpos($code, $old, $after);

            return $at === false || $at >= $node->right->getStartFilePos() ? null : [$at, $old, $new];
        }
        if ($node instanceof Expr\FuncCall && $node->name instanceof Node\Name && isset(self::CALLS[$node->name->toString()])) {
            return [$node->name->getStartFilePos(), $node->name->toString(), self::CALLS[$node->name->toString()]];
        }
        if ($node instanceof Expr\BooleanNot) {
            return [$node->getStartFilePos(), '!', '!!'];
        }
        if ($node instanceof Scalar\Int_ || $node instanceof Scalar\Float_) {
            return self::number($node, $code);
        }

        return null;
    }

    /** @return array{int, string, string}|null */
    private static function number(Scalar\Int_|Scalar\Float_ $node, string $code): ?array
    {
        $text = substr($code, $node->getStartFilePos(), $node->getEndFilePos() - $node->getStartFilePos() + 1);
        $parent = $node->getAttribute('parent');
        // Keys, places in lists and powers of ten of a tolerance say nothing of their own.
        $isKey = $parent instanceof Expr\ArrayDimFetch || ($parent instanceof Node\ArrayItem && $parent->key === $node);
        if ($isKey || abs((float) $node->value) < 1e-5) {
            return null;
        }
        $more = $node->value * (self::FACTOR - 1.0);
        $new = $node instanceof Scalar\Int_ ? (string) ($node->value + max(1, (int) $more)) : var_export($node->value + $more, true);

        return [$node->getStartFilePos(), $text, $node->value === 0.0 ? '0.1' : $new];
    }
}
