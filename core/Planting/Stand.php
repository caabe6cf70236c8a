<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A stand of trees on a board: the mix of species, how it is planted and within which zone, and the trees as they stand. They change
 * when it is planted anew or one is set by hand, not when the land does.
 */
final readonly class Stand
{
    public const MAX_TREES = 5000;

    private const MAX_SPECIES = 12;

    /** Without leaves a tree has a narrow foot of litter, as a share of its crown. */
    private const BARE_SHADE = 0.3;

    public string $name;

    /**
     * @param  string|null  $zone within which it is planted; null for the whole board
     * @param  list<Species>  $mix
     * @param  list<Tree>  $trees
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $section,
        string $name,
        public ?string $zone,
        public array $mix,
        public PlantingRule $rule = new PlantingRule(),
        public array $trees = [],
        public ?Socket $socket = null,
        public array $extra = [],
    ) {
        if (trim($name) === '' || mb_strlen($name) > 60) {
            throw new InvalidValue('A stand needs a name of 1 to 60 characters.', 'name');
        }
        if ($mix === [] || count($mix) > self::MAX_SPECIES) {
            throw new InvalidValue('A stand is of 1 to '.self::MAX_SPECIES.' species.', 'species');
        }
        if (array_sum(array_map(fn (Species $s): float => $s->parts, $mix)) <= 0.0) {
            throw new InvalidValue('The parts of the mix come to nothing.', 'species/0/parts');
        }
        if (count($trees) > self::MAX_TREES) {
            throw new InvalidValue('A stand has at most '.number_format(self::MAX_TREES).' trees.', 'trees');
        }
        foreach ($trees as $k => $tree) {
            if (! isset($mix[$tree->species])) {
                throw new InvalidValue('It is of a species that the mix does not have.', "trees/{$k}");
            }
        }
        $this->name = trim($name);
    }

    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    public function species(Tree $tree): Species
    {
        return $this->mix[$tree->species];
    }

    /** @return list<Tree> those that stay when it is planted anew */
    public function fixed(): array
    {
        return array_values(array_filter($this->trees, fn (Tree $t): bool => $t->fixed));
    }

    /** @return array<string, int> species → trees alive; and `dead` */
    public function counts(): array
    {
        $out = [];
        foreach ($this->trees as $tree) {
            $key = $tree->dead ? 'dead' : $this->species($tree)->name;
            $out[$key] = ($out[$key] ?? 0) + 1;
        }

        return $out;
    }

    /** @return list<array{float, float, float}> middles and widths of the shade that trees give, layout coordinates */
    public function crowns(): array
    {
        return array_map(fn (Tree $t): array => [$t->x, $t->y, max(2.0, $t->crown * ($t->dead ? self::BARE_SHADE : 1.0))], $this->trees);
    }

    /** @return list<Tree> with their stems in a section's coordinates */
    public function treesOn(Placement $placement): array
    {
        return array_map(function (Tree $t) use ($placement): Tree {
            $here = $placement->toSection(new Point($t->x, $t->y));

            return $t->but(x: $here->x, y: $here->y);
        }, $this->trees);
    }
}
