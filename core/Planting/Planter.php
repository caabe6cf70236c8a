<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\CellCoverage;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Plants a stand: throws places over its zone in a seeded order and keeps each at which a tree stands free and keeps its spacing from all
 * that stand already. What comes out has the even irregularity of blue noise, and is the same for the same seed.
 *
 * Method: dart throwing, R. Cook, "Stochastic sampling in computer graphics", ACM Transactions on Graphics 5 (1986), with a distance for
 * every pair after its crowns; groups and rows are ours. Section coordinates, mm.
 */
final class Planter
{
    /** Places are thrown into cells of such a share of the least distance, so often. */
    private const CELL_SHARE = 0.45;

    private const THROWS = 2;

    private const SMALLEST_CELL_MM = 1.5;

    private const MAX_CELLS = 250_000;

    /** Trees of one group stand within so many spacings of the next of it; groups are further apart than the second. */
    public const WITHIN_GROUP = 1.3;

    public const BETWEEN_GROUPS = 1.8;

    /** Size of a group → how often. */
    private const GROUPS = [1 => 2, 3 => 4, 5 => 3, 7 => 1];

    private const TRIES = 14;

    /** @var array<string, int> why places were refused */
    private array $refused = [];

    /** @var array<int, int> species → trees of it */
    private array $counts = [];

    private int $thrown = 0;

    private Randomizer $random;

    private Neighbours $near;

    /** @var list<Tree> section coordinates */
    private array $trees = [];

    private float $spacing;

    /**
     * @param  Stand  $stand with its trees in section coordinates: those that are fixed stay
     * @param  list<list<array{float, float}>>  $rings of the zone
     * @param  list<Tree>  $others that stand there of other stands
     */
    public function __construct(
        private readonly Stand $stand,
        private readonly PlantingGround $ground,
        private readonly array $rings,
        private readonly Scale $scale,
        array $others = [],
    ) {
        $this->random = new Randomizer(new Xoshiro256StarStar($stand->rule->seed));
        $this->spacing = $stand->rule->spacing;
        $this->near = new Neighbours(max(4.0, $this->pitch(true)), $this->spacing);
        foreach ([...$stand->fixed(), ...$others] as $tree) {
            $this->near->add($tree->x, $tree->y, $tree->crown, -1);
        }
        $this->trees = $stand->fixed();
        foreach ($this->trees as $tree) {
            $this->counts[$tree->species] = ($this->counts[$tree->species] ?? 0) + 1;
        }
    }

    /**
     * @return list<Tree> the fixed ones first
     *
     * @throws InvalidValue when nothing finds room, or too many would
     */
    public function plant(): array
    {
        match ($this->stand->rule->pattern) {
            StandPattern::Wood => $this->wood(),
            StandPattern::Groups => $this->groups(),
            StandPattern::Orchard => $this->orchard(),
            StandPattern::ByHand => null,
        };
        if ($this->trees === [] && $this->stand->rule->pattern !== StandPattern::ByHand) {
            throw new InvalidValue($this->noRoom(), 'zone');
        }

        return $this->trees;
    }

    private function wood(): void
    {
        foreach ($this->places() as [$x, $y]) {
            $tree = $this->grown($x, $y);
            if ($this->near->allow($x, $y, $tree->crown, 0, 1.0) && $this->stands($tree)) {
                $this->set($tree, 0);
            }
        }
    }

    private function groups(): void
    {
        $group = 0;
        foreach ($this->places() as [$x, $y]) {
            $first = $this->grown($x, $y);
            $group++;
            if (! $this->near->allow($x, $y, $first->crown, $group, self::BETWEEN_GROUPS) || ! $this->stands($first)) {
                continue;
            }
            $members = $this->group($first, $group);
            foreach ($members as $tree) {
                $this->set($tree, $group);
            }
        }
    }

    /** @return list<Tree> an odd number of them, each beside one of the others */
    private function group(Tree $first, int $group): array
    {
        $size = $this->size();
        $members = [$first];
        $own = new Neighbours(max(4.0, $this->pitch(true)), $this->spacing);
        $own->add($first->x, $first->y, $first->crown, $group);
        for ($try = 0; count($members) < $size && $try < self::TRIES * $size; $try++) {
            $beside = $members[$this->random->getInt(0, count($members) - 1)];
            $angle = 2.0 * M_PI * $this->chance();
            $far = 1.0 + $this->chance() * (self::WITHIN_GROUP - 1.0);
            $apart = $this->spacing * $beside->crown;
            [$x, $y] = [$beside->x + $apart * $far * cos($angle), $beside->y + $apart * $far * sin($angle)];
            if (! PlantingGround::within($this->rings, $x, $y)) {
                continue;
            }
            $tree = $this->grown($x, $y);
            $mean = ($this->spacing * ($tree->crown + $beside->crown)) / 2.0;
            $away = hypot($x - $beside->x, $y - $beside->y);
            if (
                $away >= $mean &&
                $away <= self::WITHIN_GROUP * $mean &&
                $own->allow($x, $y, $tree->crown, $group, 1.0) &&
                $this->near->allow($x, $y, $tree->crown, $group, self::BETWEEN_GROUPS) &&
                $this->stands($tree)
            ) {
                $members[] = $tree;
                $own->add($x, $y, $tree->crown, $group);
            }
        }

        // The last one stands beside another, and none beside it.
        return count($members) % 2 === 1 ? $members : array_slice($members, 0, -1);
    }

    private function orchard(): void
    {
        $pitch = $this->pitch(false);
        [$ux, $uy] = $this->direction();
        $corners = array_merge(...$this->rings) ?: [[0.0, 0.0]];
        $turned = array_map(fn (array $p): array => [$p[0] * $ux + $p[1] * $uy, $p[1] * $ux - $p[0] * $uy], $corners);
        [$u1, $v1, $u2, $v2] = Box::around($turned);
        $this->unlessTooMany((($u2 - $u1) / $pitch) * (($v2 - $v1) / $pitch) > self::MAX_CELLS);
        for ($v = $v1 + $pitch / 2.0; $v < $v2; $v += $pitch) {
            for ($u = $u1 + $pitch / 2.0; $u < $u2; $u += $pitch) {
                [$x, $y] = [$u * $ux - $v * $uy, $u * $uy + $v * $ux];
                if (PlantingGround::within($this->rings, $x, $y)) {
                    $this->thrown++;
                    $tree = $this->grown($x, $y);
                    if ($this->near->allow($x, $y, $tree->crown, 0, 1.0) && $this->stands($tree)) {
                        $this->set($tree, 0);
                    }
                }
            }
        }
    }

    /** @return array{float, float} along the longest side of the zone */
    private function direction(): array
    {
        [$best, $along] = [0.0, [1.0, 0.0]];
        foreach ($this->rings as $ring) {
            foreach ($ring as $k => $a) {
                $b = $ring[($k + 1) % count($ring)];
                $long = hypot($b[0] - $a[0], $b[1] - $a[1]);
                if ($long > $best + 1e-6) {
                    [$best, $along] = [$long, [($b[0] - $a[0]) / $long, ($b[1] - $a[1]) / $long]];
                }
            }
        }

        return $along;
    }

    /** @return list<array{float, float}> thrown over the zone, in a seeded order */
    private function places(): array
    {
        $cell = max(self::SMALLEST_CELL_MM, self::CELL_SHARE * $this->pitch(true));
        $all = array_merge(...$this->rings);
        if ($all === []) {
            return [];
        }
        [$x1, $y1, $x2, $y2] = Box::around($all);
        [$x1, $y1, $x2, $y2] = [max(0.0, $x1), max(0.0, $y1), min($this->ground->width, $x2), min($this->ground->length, $y2)];
        $cell = max($cell, sqrt(max(0.0, ($x2 - $x1) * ($y2 - $y1)) / self::MAX_CELLS));
        [$cols, $rows] = [max(1, (int) ceil(($x2 - $x1) / $cell)), max(1, (int) ceil(($y2 - $y1) / $cell))];
        $lines = fn (float $from, int $count): array => array_map(fn (int $k): float => $from + $k * $cell, range(0, $count));
        $out = [];
        for ($throw = 0; $throw < self::THROWS; $throw++) {
            $once = [];
            foreach (CellCoverage::of($this->rings, $lines($x1, $cols), $lines($y1, $rows)) as $k => $share) {
                $x = $x1 + (($k % $cols) + $this->chance()) * $cell;
                $y = $y1 + (intdiv($k, $cols) + $this->chance()) * $cell;
                if ($share > 1.0 - 1e-6 || ($share > 0.0 && PlantingGround::within($this->rings, $x, $y))) {
                    $once[] = [$x, $y];
                }
            }
            array_push($out, ...$this->random->shuffleArray($once));
        }
        $this->thrown = count($out);

        return $out;
    }

    /** The tree that would grow at a place. */
    private function grown(float $x, float $y): Tree
    {
        $rule = $this->stand->rule;
        $behind = $this->ground->depth->share($x, $y);
        $age = $rule->tallBehind * $behind + (1.0 - $rule->tallBehind) * $this->chance();
        $k = $this->due();
        [$heightM, $crownM] = $this->stand->mix[$k]->at($age);
        $to = $this->ground->depth->scaleAt($behind);

        return new Tree(
            $x,
            $y,
            $k,
            max(1.0, $this->scale->toModel($heightM * 1000.0) * $to),
            max(0.5, min(600.0, $this->scale->toModel($crownM * 1000.0) * $to)),
            $this->chance() < $rule->dead,
        );
    }

    private function stands(Tree $tree): bool
    {
        $against = $this->ground->against($tree, $this->stand->rule);
        if ($against !== null) {
            $this->refused[$against['what']] = ($this->refused[$against['what']] ?? 0) + 1;
        }

        return $against === null;
    }

    private function set(Tree $tree, int $group): void
    {
        $this->trees[] = $tree;
        $this->counts[$tree->species] = ($this->counts[$tree->species] ?? 0) + 1;
        $this->near->add($tree->x, $tree->y, $tree->crown, $group);
        $this->unlessTooMany(count($this->trees) > Stand::MAX_TREES);
    }

    private function unlessTooMany(bool $tooMany): void
    {
        if ($tooMany) {
            $most = number_format(Stand::MAX_TREES);
            throw new InvalidValue("That is more than {$most} trees. Space them wider, or divide the wood.", 'spacing');
        }
    }

    /** The species that is furthest behind its parts: small ones would fill every gap, and the mix would not be what was asked for. */
    private function due(): int
    {
        $all = array_sum(array_map(fn (Species $s): float => $s->parts, $this->stand->mix));
        [$best, $most] = [0, -INF];
        foreach ($this->stand->mix as $k => $one) {
            $behind = (array_sum($this->counts) + 1) * $one->parts / $all - ($this->counts[$k] ?? 0);
            if ($one->parts > 0.0 && $behind > $most) {
                [$best, $most] = [$k, $behind];
            }
        }

        return $best;
    }

    private function size(): int
    {
        $at = $this->random->getInt(1, array_sum(self::GROUPS));
        foreach (self::GROUPS as $size => $often) {
            $at -= $often;
            if ($at <= 0) {
                return $size;
            }
        }

        return 1;
    }

    private function chance(): float
    {
        return $this->random->getInt(0, (1 << 30) - 1) / (1 << 30);
    }

    /** Spacing of the narrowest crowns, or of the widest, mm. */
    private function pitch(bool $least): float
    {
        $wide = array_map(fn (Species $s): float => $least ? $s->crownLowM : $s->crownHighM, $this->stand->mix);

        return $this->spacing * $this->scale->toModel(1000.0 * ($least ? min($wide) : max($wide)));
    }

    private function noRoom(): string
    {
        if ($this->thrown === 0) {
            return 'There is no room for a tree: the zone has no land on this board.';
        }
        arsort($this->refused);
        $why = array_map(
            fn (string $what, int $n): string => "{$n} ".match ($what) {
                'steep' => 'too steep',
                'water' => 'in water',
                'edge' => 'at the edge of the board',
                'joint' => 'over the joint',
                default => "too near {$what}",
            },
            array_keys($this->refused),
            $this->refused,
        );

        return "There is no room for a tree: of {$this->thrown} places tried, ".
            ($why === [] ? 'all were too near trees that are fixed.' : implode(', ', $why).'.');
    }
}
