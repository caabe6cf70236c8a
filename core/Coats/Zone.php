<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A part of a section's land: what is drawn, and all that rules leave of it. Every condition that is set must hold: within
 * the outline, of a slope (degrees), at a distance from a run (mm; null for any), of a height over the board (mm), among the
 * dampest share, facing the sun or north, on formations or on the banks beside them, in the shade of crowns, along a row, under water
 * or on its shore, within other zones; then what other zones have comes to it, and what others have is taken from it. Without any it is
 * the whole board. It follows the land when the land changes.
 */
final readonly class Zone
{
    /** How far a backdrop reaches over the board it stands along, in its plan, mm. */
    private const BACKDROP_MM = 4.0;

    public string $name;

    /** @var list<array{float, float}>|null layout coordinates, counter-clockwise */
    public ?array $outline;

    /** @var list<string> uids of other zones */
    public array $without;

    /** @var list<string> */
    public array $within;

    /** @var list<string> */
    public array $also;

    /**
     * @param  list<array{float, float}>|null  $outline
     * @param  array{float, float}|null  $slope
     * @param  array{run: string|null, from: float, to: float}|null  $near
     * @param  list<string>  $without
     * @param  array<string, mixed>  $extra
     * @param  array{float, float}|null  $height mm over the board
     * @param  float|null  $damp 0 … 1
     * @param  string|null  $aspect sun or north
     * @param  list<string>  $within
     * @param  list<string>  $also
     * @param  list<array{float, float, float}>|null  $crowns middles, layout coordinates, and diameters
     * @param  string|null  $made formation or bank; or tunnel: the floor inside one, under its lid
     * @param  list<string>  $under uids of stands whose crowns give it shade; its crowns then follow them
     * @param  string|null  $along uid of a row that it lies under, whose strip is its outline
     * @param  string|null  $water uid of a pond or stream under which it lies
     * @param  float|null  $shore mm: then not under that water but so far about it
     * @param  array{edge: string, height: float}|null  $backdrop a board that stands along an edge, and how high, mm: no land
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $section,
        string $name,
        ?array $outline = null,
        public ?array $slope = null,
        public ?array $near = null,
        array $without = [],
        public array $extra = [],
        public ?array $height = null,
        public ?float $damp = null,
        public ?string $aspect = null,
        array $within = [],
        array $also = [],
        public ?array $crowns = null,
        public ?string $made = null,
        public ?array $backdrop = null,
        public array $under = [],
        public ?string $along = null,
        public ?string $water = null,
        public ?float $shore = null,
    ) {
        if (trim($name) === '' || mb_strlen($name) > 80) {
            throw new InvalidValue('A zone needs a name of 1 to 80 characters.', 'name');
        }
        if ($outline !== null) {
            if (count($outline) < 3 || count($outline) > 500) {
                throw new InvalidValue('An outline needs 3 to 500 corners.', 'outline');
            }
            if (Polygon::crossesItself($outline)) {
                throw new InvalidValue('The outline crosses itself.', 'outline');
            }
            $outline = Polygon::area($outline) < 0.0 ? array_reverse($outline) : $outline;
        }
        if ($slope !== null) {
            InvalidValue::unlessBetween($slope[0], 0.0, 90.0, 'The slope', '°', 'slope/from');
            InvalidValue::unlessBetween($slope[1], 0.0, 90.0, 'The slope', '°', 'slope/to');
            if ($slope[1] <= $slope[0]) {
                throw new InvalidValue('The steepest slope must be more than the least.', 'slope/to');
            }
        }
        if ($near !== null) {
            InvalidValue::unlessBetween($near['from'], 0.0, 5000.0, 'The distance', 'mm', 'near/from');
            InvalidValue::unlessBetween($near['to'], 0.0, 5000.0, 'The distance', 'mm', 'near/to');
            if ($near['to'] <= $near['from']) {
                throw new InvalidValue('The far distance must be more than the near one.', 'near/to');
            }
        }
        if ($height !== null) {
            InvalidValue::unlessBetween($height[0], -1000.0, 3000.0, 'The height', 'mm', 'height/from');
            InvalidValue::unlessBetween($height[1], -1000.0, 3000.0, 'The height', 'mm', 'height/to');
            if ($height[1] <= $height[0]) {
                throw new InvalidValue('The greatest height must be more than the least.', 'height/to');
            }
        }
        if ($damp !== null) {
            InvalidValue::unlessBetween($damp, 0.01, 0.9, 'The dampest share', '', 'damp');
        }
        if ($aspect !== null && ! in_array($aspect, ['sun', 'north'], true)) {
            throw new InvalidValue('Land faces the sun or north.', 'aspect');
        }
        if ($made !== null && ! in_array($made, ['formation', 'bank', 'tunnel'], true)) {
            throw new InvalidValue('What was made is a formation, a bank or the inside of a tunnel.', 'made');
        }
        if ($shore !== null) {
            InvalidValue::unlessBetween($shore, 1.0, 500.0, 'The width of the shore', 'mm', 'shore');
            if ($water === null) {
                throw new InvalidValue('Of which water is it the shore?', 'water');
            }
        }
        if ($crowns !== null) {
            if (count($crowns) > 5000 || ($crowns === [] && $under === [] && $along === null)) {
                throw new InvalidValue('Shade takes 1 to 5,000 crowns.', 'crowns');
            }
            foreach ($crowns as [, , $wide]) {
                InvalidValue::unlessBetween($wide, 2.0, 600.0, 'The crown', 'mm', 'crowns');
            }
        }
        if ($backdrop !== null) {
            if (BoardEdge::tryFrom($backdrop['edge']) === null) {
                throw new InvalidValue('A backdrop stands along the front, the back, the left or the right.', 'backdrop/edge');
            }
            InvalidValue::unlessBetween($backdrop['height'], 10.0, 3000.0, 'The height of the backdrop', 'mm', 'backdrop/height');
            if ($outline !== null || $along !== null || $this->isRuled() || [...$without, ...$within, ...$also] !== []) {
                throw new InvalidValue('A backdrop stands along its edge, and goes by nothing else.', 'backdrop/edge');
            }
        }
        foreach (['without' => $without, 'within' => $within, 'also' => $also] as $key => $uids) {
            if (in_array($uid, $uids, true)) {
                throw new InvalidValue('A zone cannot go by itself.', $key);
            }
        }
        $each = fn (array $uids): array => array_values(array_unique($uids));
        $this->name = trim($name);
        $this->outline = $outline;
        $this->without = $each($without);
        $this->within = $each($within);
        $this->also = $each($also);
    }

    /**
     * The same with the crowns of the stands that it goes under.
     *
     * @param  list<array{float, float, float}>  $crowns
     */
    public function shadedBy(array $crowns): self
    {
        return new self(...['crowns' => $crowns] + get_object_vars($this));
    }

    /**
     * The same with the strip of the row that it lies under for its outline.
     *
     * @param  list<array{float, float}>  $strip
     */
    public function lyingOn(array $strip): self
    {
        return new self(...['outline' => $strip] + get_object_vars($this));
    }

    /** Whether it lies inside, under what is closed over it. */
    public function isInside(): bool
    {
        return $this->made === 'tunnel';
    }

    /** Whether it is the bed of a water. */
    public function isBed(): bool
    {
        return $this->water !== null && $this->shore === null;
    }

    /** Whether its outline alone says what it is. */
    public function isDrawn(): bool
    {
        return $this->outline !== null && ! $this->isRuled() && $this->goesBy() === [];
    }

    /** Whether it is the board with nothing taken from it. */
    public function isWhole(): bool
    {
        return $this->outline === null && $this->along === null && $this->backdrop === null && ! $this->isRuled() && $this->goesBy() === [];
    }

    private function isRuled(): bool
    {
        return $this->slope !== null ||
            $this->near !== null ||
            $this->height !== null ||
            $this->damp !== null ||
            $this->aspect !== null ||
            $this->crowns !== null ||
            $this->under !== [] ||
            $this->water !== null ||
            $this->made !== null;
    }

    /** @return list<array{float, float}> where a backdrop stands in the plan of its board */
    public function standsOn(float $width, float $depth): array
    {
        $edge = $this->backdropEdge();
        [$xa, $ya] = $edge->place(0.0, $width, $depth);
        [$xb, $yb] = $edge->place($edge->length($width, $depth), $width, $depth, -self::BACKDROP_MM);
        [$x1, $x2, $y1, $y2] = [min($xa, $xb), max($xa, $xb), min($ya, $yb), max($ya, $yb)];

        return [[$x1, $y1], [$x2, $y1], [$x2, $y2], [$x1, $y2]];
    }

    /** The face of a backdrop on a board, mm². */
    public function faceOn(float $width, float $depth): float
    {
        return $this->backdropEdge()->length($width, $depth) * ($this->backdrop['height'] ?? 0.0);
    }

    private function backdropEdge(): BoardEdge
    {
        return BoardEdge::from($this->backdrop['edge'] ?? BoardEdge::Back->value);
    }

    /** @return list<string> uids of zones that it goes by */
    public function goesBy(): array
    {
        return [...$this->without, ...$this->within, ...$this->also];
    }

    /** @return list<array{float, float}>|null the outline in a section's coordinates */
    public function outlineOn(Placement $placement): ?array
    {
        return $this->outline === null
            ? null
            : array_map(function (array $p) use ($placement): array {
                $here = $placement->toSection(new Point($p[0], $p[1]));

                return [$here->x, $here->y];
            }, $this->outline);
    }

    /**
     * The rule in one sentence.
     *
     * @param  array<string, string>  $names uid of a zone or run → name
     * @param  float  $base the board's top: heights are told over the datum, as the plan tells them
     */
    public function sentence(array $names, float $base = 0.0): string
    {
        $parts = $this->backdrop === null ? [] : [
            "backdrop along the {$this->backdrop['edge']}, ".Format::length($this->backdrop['height'], 1).' high',
        ];
        if ($this->along !== null) {
            $parts[] = 'along '.($names[$this->along] ?? 'a row');
        } elseif ($this->outline !== null) {
            $parts[] = 'as drawn';
        }
        if ($this->slope !== null) {
            $parts[] = match (true) {
                $this->slope[1] >= 90.0 => "{$this->slope[0]}° and steeper",
                $this->slope[0] <= 0.0 => "up to {$this->slope[1]}°",
                default => "{$this->slope[0]}° to {$this->slope[1]}°",
            };
        }
        if ($this->near !== null) {
            $run = $this->near['run'] === null ? 'any track' : $names[$this->near['run']] ?? 'a run';
            $parts[] =
                $this->near['from'] > 0.0
                    ? Format::several([$this->near['from'], $this->near['to']], 'mm', 1, ' to ')." from {$run}"
                    : 'within '.Format::length($this->near['to'], 1)." of {$run}";
        }
        if ($this->height !== null) {
            $parts[] = Format::several([$this->height[0] + $base, $this->height[1] + $base], 'mm', 1, ' to ').' high';
        }
        if ($this->damp !== null) {
            $parts[] = 'the dampest '.round(100.0 * $this->damp).' %';
        }
        if ($this->aspect !== null) {
            $parts[] = $this->aspect === 'sun' ? 'facing the sun' : 'facing north';
        }
        if ($this->made !== null) {
            $parts[] = match ($this->made) {
                'formation' => 'on the formation',
                'tunnel' => 'inside the tunnel',
                default => 'on banks and in cuttings',
            };
        }
        if ($this->water !== null) {
            $named = $names[$this->water] ?? 'the water';
            $parts[] = $this->shore === null ? "under {$named}" : 'within '.Format::length($this->shore, 1)." about {$named}";
        }
        if ($this->under !== []) {
            $parts[] = 'under '.implode(', ', array_map(fn (string $uid): string => $names[$uid] ?? 'a stand', $this->under));
        } elseif ($this->crowns !== null) {
            $parts[] = count($this->crowns) === 1 ? 'under one crown' : 'under '.count($this->crowns).' crowns';
        }
        foreach ($this->within as $uid) {
            $parts[] = 'within '.($names[$uid] ?? 'a zone');
        }
        $more = array_map(fn (string $uid): string => $names[$uid] ?? 'a zone', $this->also);
        $left = array_map(fn (string $uid): string => $names[$uid] ?? 'a zone', $this->without);

        return ucfirst($parts === [] ? 'the whole board' : implode(', ', $parts)).
            ($more === [] ? '' : ', and all of '.implode(', ', $more)).
            ($left === [] ? '' : ', without '.implode(', ', $left));
    }
}
