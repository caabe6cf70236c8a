<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use BackedEnum;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Hazard;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\StepKind;
use IdleRidge\Core\Coats\StepRelation;
use IdleRidge\Core\Coats\ThinnedGlue;
use IdleRidge\Core\Coats\WayOrder;
use IdleRidge\Core\Coats\Ways;
use IdleRidge\Core\Coats\WayStep;
use IdleRidge\Core\Coats\WayTurn;
use IdleRidge\Core\Coats\Wetting;
use IdleRidge\Core\Measure\InvalidValue;

/** The ways of the library: in which order loose material goes on, what wets it and what holds it. */
final class WaysFile
{
    /** @throws InvalidValue with the pointer of what is wrong */
    public static function read(Record $root): Ways
    {
        $orders = $wettings = $glues = [];
        foreach (self::each($root, 'orders', self::order(...)) as $order) {
            $orders[$order->key] = $order;
        }
        foreach (self::each($root, 'wettings', self::wetting(...)) as $wetting) {
            $wettings[$wetting->key] = $wetting;
        }
        foreach (self::each($root, 'glues', self::glue(...)) as $glue) {
            $glues[$glue->key] = $glue;
        }
        $ways = new Ways($orders, $wettings, $glues);
        $root->close();

        return $ways;
    }

    /**
     * @template T of object
     *
     * @param  callable(Record): T  $make
     * @return list<T>
     */
    private static function each(Record $root, string $key, callable $make): array
    {
        return array_map(function (Record $r) use ($make): object {
            $one = $r->within(fn (): object => $make($r));
            $r->close();

            return $one;
        }, $root->has($key) ? $root->records($key) : []);
    }

    private static function order(Record $r): WayOrder
    {
        return new WayOrder(
            $r->text('key'),
            $r->text('name'),
            $r->text('suits'),
            self::enums(Family::class, $r->words('for'), 'a family', 'for'),
            $r->text('action'),
            array_map(self::step(...), $r->records('steps')),
            $r->has('then') ? array_map(self::turn(...), $r->records('then')) : [],
            $r->has('wrong') ? $r->words('wrong') : [],
            $r->text('glue', ''),
            $r->text('wetting', ''),
            $r->has('as') ? $r->text('as') : null,
            $r->has('tools') ? $r->words('tools') : null,
            $r->flag('covers_white'),
        );
    }

    private static function step(Record $r): WayStep
    {
        $step = $r->within(
            fn (): WayStep => new WayStep(
                RecipeFile::oneOf(StepKind::class, $r->text('kind'), 'a step', 'kind'),
                $r->text('do'),
                RecipeFile::oneOf(StepRelation::class, $r->text('after', 'at once'), 'how it follows', 'after'),
                $r->text('fill', ''),
                $r->number('value', 1.0),
                $r->text('unit', 'ml'),
                self::of($r),
                $r->number('setup_min', 0.0),
                $r->number('minutes_per_dm2', 0.0),
                $r->flag('patch'),
                $r->words('tools'),
            ),
        );
        $r->close();

        return $step;
    }

    private static function turn(Record $r): WayTurn
    {
        $window = $r->has('window') ? self::window($r) : null;
        $turn = $r->within(
            fn (): WayTurn => new WayTurn(
                $r->text('name'),
                $r->text('action'),
                RecipeFile::oneOf(StepRelation::class, $r->text('after'), 'how it follows', 'after'),
                array_map(self::step(...), $r->records('steps')),
                $window,
                $r->text('missed', ''),
                $r->has('as') ? $r->text('as') : null,
            ),
        );
        $r->close();

        return $turn;
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  list<string>  $words
     * @return list<T>
     */
    private static function enums(string $enum, array $words, string $what, string $at): array
    {
        return array_map(fn (string $word): BackedEnum => RecipeFile::oneOf($enum, $word, $what, $at), $words);
    }

    /** @return array{float, float} */
    private static function window(Record $r): array
    {
        $at = array_map(
            fn (mixed $v): float => is_int($v) || is_float($v) ? (float) $v : throw new InvalidValue('expected a number', $r->at('window')),
            $r->list('window'),
        );

        return count($at) === 2 ? [$at[0], $at[1]] : throw new InvalidValue('expected two numbers', $r->at('window'));
    }

    private static function wetting(Record $r): Wetting
    {
        return new Wetting(
            $r->text('key'),
            $r->text('name'),
            $r->text('suits'),
            self::of($r),
            $r->numberOrNull('strength'),
            self::enums(Hazard::class, $r->words('hazards'), 'a hazard', 'hazards'),
            RecipeFile::cautions($r),
            self::enums(RecipeTrait::class, $r->words('traits'), 'a trait', 'traits'),
        );
    }

    private static function glue(Record $r): ThinnedGlue
    {
        return new ThinnedGlue(
            $r->text('key'),
            $r->text('name'),
            $r->text('suits'),
            $r->text('material'),
            $r->text('through'),
            $r->text('film'),
            $r->number('parts', 1.0),
            $r->number('water', 3.0),
            $r->number('known', 3.0),
        );
    }

    /** @return list<array{material: string, parts: float}> */
    private static function of(Record $r): array
    {
        return $r->has('of') ? array_map(RecipeFile::ingredient(...), $r->records('of')) : [];
    }
}
