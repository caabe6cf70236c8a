<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Planting\Gate;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowFigures;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\Socket;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;
use IdleRidge\Core\Project\LayoutGrowth;

/**
 * Stands and rows as they stand in a layout's file. A tree is a row of seven numbers: x, y, number of its species, height, width of the
 * crown (mm), 1 where it is dead, 1 where it is fixed.
 */
final class GrowthFile
{
    private const TREE_NUMBERS = 7;

    public static function stand(Record $r, string $uid): Stand
    {
        $species = array_map(self::species(...), $r->records('species'));
        $rule = $r->has('rule') ? self::rule($r->record('rule')) : new PlantingRule();
        $socket = null;
        if ($r->has('socket')) {
            $s = $r->record('socket');
            $socket = $s->within(fn (): Socket => new Socket($s->number('bore_mm'), $s->number('depth_mm')));
            $s->close();
        }
        $trees = [];
        foreach ($r->has('trees') ? $r->list('trees') : [] as $k => $one) {
            $trees[] = self::tree(is_array($one) ? array_values($one) : [], $r->at('trees')."/{$k}");
        }
        [$section, $name, $zone] = [$r->text('section'), $r->text('name'), $r->has('zone') ? $r->text('zone') : null];
        $extra = $r->extra();

        return $r->within(fn (): Stand => new Stand($uid, $section, $name, $zone, $species, $rule, $trees, $socket, $extra));
    }

    public static function species(Record $r): Species
    {
        $two = function (string $key) use ($r): array {
            $pair = array_values(array_filter($r->list($key), fn (mixed $v): bool => is_int($v) || is_float($v)));

            return count($pair) === 2 ? [(float) $pair[0], (float) $pair[1]] : throw new InvalidValue('expected two numbers', $r->at($key));
        };
        $species = $r->within(fn (): Species => new Species(
            $r->text('name'),
            InvalidValue::unlessOneOf(TreeForm::class, $r->text('form'), 'form'),
            ...[...$two('height_m'), ...$two('crown_m'), $r->number('parts', 1.0)],
        ));
        $r->close();

        return $species;
    }

    private static function rule(Record $r): PlantingRule
    {
        $rule = $r->within(fn (): PlantingRule => new PlantingRule(
            InvalidValue::unlessOneOf(StandPattern::class, $r->text('pattern'), 'pattern'),
            $r->number('spacing'),
            $r->number('tall_behind'),
            $r->number('dead'),
            $r->number('steepest_deg'),
            $r->number('clear_mm'),
            (int) $r->number('seed'),
        ));
        $r->close();

        return $rule;
    }

    /** @param  list<mixed>  $numbers */
    private static function tree(array $numbers, string $at): Tree
    {
        $sound = array_values(array_filter($numbers, fn (mixed $v): bool => is_int($v) || is_float($v)));
        if (count($numbers) !== self::TREE_NUMBERS || count($sound) !== self::TREE_NUMBERS) {
            throw new InvalidValue('a tree is seven numbers: x, y, species, height, crown, dead, fixed', $at);
        }
        try {
            return new Tree(
                (float) $sound[0], (float) $sound[1], (int) $sound[2], (float) $sound[3], (float) $sound[4], $sound[5] > 0, $sound[6] > 0,
            );
        } catch (InvalidValue $refusal) {
            throw new InvalidValue($refusal->getMessage(), $at);
        }
    }

    public static function row(Record $r, string $uid): Row
    {
        $text = fn (string $key): ?string => $r->has($key) ? $r->text($key) : null;
        $figures = $r->within(fn (): RowFigures => new RowFigures(
            $r->number('spacing_m'),
            $r->number('height_m'),
            $r->number('wide_m'),
            $r->has('wires_m') ? self::numbers($r->list('wires_m'), $r->at('wires_m')) : [],
            $r->number('strain_m', 0.0),
        ));
        $gates = array_map(function (Record $g): Gate {
            $gate = $g->within(fn (): Gate => new Gate($g->number('at_mm'), $g->number('wide_m')));
            $g->close();

            return $gate;
        }, $r->has('gates') ? $r->records('gates') : []);
        $points = array_map(
            fn (mixed $p): array => [...self::numbers(is_array($p) ? array_values($p) : [], $r->at('points')), 0.0, 0.0],
            $r->has('points') ? $r->list('points') : [],
        );

        return $r->within(fn (): Row => new Row(
            $uid,
            InvalidValue::unlessOneOf(RowKind::class, $r->text('kind'), 'kind'),
            $figures,
            $r->text('name', ''),
            $text('run'),
            $text('feature'),
            array_map(fn (array $p): array => [$p[0], $p[1]], $points),
            $r->number('offset_mm', 0.0),
            $r->has('from_edge') && $r->flag('from_edge'),
            $r->numberOrNull('from_mm'),
            $r->numberOrNull('to_mm'),
            $gates,
            $r->number('pack_mm', 0.0),
            $r->extra(),
        ));
    }

    /**
     * @param  list<mixed>  $list
     * @return list<float>
     */
    private static function numbers(array $list, string $at): array
    {
        return array_map(
            fn (mixed $v): float => is_int($v) || is_float($v) ? (float) $v : throw new InvalidValue('expected numbers', $at),
            $list,
        );
    }

    public static function growth(Record $r): LayoutGrowth
    {
        $growth = $r->within(fn (): LayoutGrowth => new LayoutGrowth(
            $r->number('far_scale', 1.0),
            $r->numberOrNull('shelf_mm'),
        ));
        $r->close();

        return $growth;
    }

    /** @return array<string, mixed> empty where all is as it is of itself */
    public static function fromGrowth(LayoutGrowth $g): array
    {
        return ($g->farScale === 1.0 ? [] : ['far_scale' => $g->farScale]) +
            ($g->shelf === null ? [] : ['shelf_mm' => $g->shelf]);
    }

    /** @return array<string, mixed> */
    public static function fromStand(Stand $s): array
    {
        return ['uid' => $s->uid, 'section' => $s->section, 'name' => $s->name] +
            ($s->zone === null ? [] : ['zone' => $s->zone]) + [
                'species' => array_map(self::fromSpecies(...), $s->mix),
                'rule' => [
                    'pattern' => $s->rule->pattern->value,
                    'spacing' => $s->rule->spacing,
                    'tall_behind' => $s->rule->tallBehind,
                    'dead' => $s->rule->dead,
                    'steepest_deg' => $s->rule->steepestDeg,
                    'clear_mm' => $s->rule->clear,
                    'seed' => $s->rule->seed,
                ],
                'trees' => array_map(
                    fn (Tree $t): array => [$t->x, $t->y, $t->species, $t->height, $t->crown, (int) $t->dead, (int) $t->fixed],
                    $s->trees,
                ),
            ] +
            ($s->socket === null ? [] : ['socket' => ['bore_mm' => $s->socket->bore, 'depth_mm' => $s->socket->depth]]) +
            $s->extra;
    }

    /** @return array<string, mixed> */
    public static function fromSpecies(Species $s): array
    {
        return [
            'name' => $s->name,
            'form' => $s->form->value,
            'height_m' => [$s->lowM, $s->highM],
            'crown_m' => [$s->crownLowM, $s->crownHighM],
            'parts' => $s->parts,
        ];
    }

    /** @return array<string, mixed> */
    public static function fromRow(Row $row): array
    {
        return [
            'uid' => $row->uid,
            'kind' => $row->kind->value,
            'name' => $row->name,
            'spacing_m' => $row->figures->spacing,
            'height_m' => $row->figures->height,
            'wide_m' => $row->figures->wide,
            'offset_mm' => $row->offset,
        ] +
            ($row->run === null ? [] : ['run' => $row->run]) +
            ($row->feature === null ? [] : ['feature' => $row->feature]) +
            ($row->points === [] ? [] : ['points' => $row->points]) +
            ($row->fromEdge ? ['from_edge' => true] : []) +
            ($row->from === null ? [] : ['from_mm' => $row->from]) +
            ($row->to === null ? [] : ['to_mm' => $row->to]) +
            ($row->figures->wires === [] ? [] : ['wires_m' => $row->figures->wires]) +
            ($row->figures->strain <= 0.0 ? [] : ['strain_m' => $row->figures->strain]) +
            ($row->gates === []
                ? []
                : ['gates' => array_map(fn (Gate $g): array => ['at_mm' => $g->at, 'wide_m' => $g->wideM], $row->gates)]) +
            ($row->pack <= 0.0 ? [] : ['pack_mm' => $row->pack]) +
            $row->extra;
    }
}
