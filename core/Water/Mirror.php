<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;

/** A mirror that stands upright where water would end: the middle of its foot in the layout, the way it faces, its size. mm, degrees. */
final readonly class Mirror
{
    public string $name;

    /**
     * @param  float  $facingDeg the way its face looks, against the layout’s x axis
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $section,
        string $name,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
        public float $facingDeg,
        public array $extra = [],
    ) {
        if (trim($name) === '' || mb_strlen($name) > 80) {
            throw new InvalidValue('A mirror needs a name of 1 to 80 characters.', 'name');
        }
        InvalidValue::unlessBetween($width, 5.0, 2000.0, 'The width', 'mm', 'width');
        InvalidValue::unlessBetween($height, 5.0, 1000.0, 'The height', 'mm', 'height');
        InvalidValue::unlessBetween($facingDeg, -720.0, 720.0, 'The way it faces', '°', 'facing_deg');
        InvalidValue::unlessBetween($x, -100_000.0, 100_000.0, 'x', 'mm', 'x');
        InvalidValue::unlessBetween($y, -100_000.0, 100_000.0, 'y', 'mm', 'y');
        $this->name = trim($name);
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    /** The same in a section’s coordinates. */
    public function seenFrom(Placement $placement): self
    {
        $p = $placement->toSection(new Point($this->x, $this->y));

        return $this->but(x: $p->x, y: $p->y, facingDeg: $this->facingDeg - $placement->angleDeg);
    }

    /** @return array{array{float, float}, array{float, float}} ends of its foot */
    public function ends(): array
    {
        [$c, $s] = [cos(deg2rad($this->facingDeg)), sin(deg2rad($this->facingDeg))];
        $half = $this->width / 2.0;

        return [[$this->x + $half * $s, $this->y - $half * $c], [$this->x - $half * $s, $this->y + $half * $c]];
    }
}
