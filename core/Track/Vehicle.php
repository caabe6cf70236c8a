<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/** A vehicle that runs on the layout: body length, distance of bogie centres, width, height over rail top; mm. */
final readonly class Vehicle
{
    private function __construct(
        public float $body,
        public float $bogieCentres,
        public float $width,
        public float $height,
        public string $name,
    ) {
    }

    /** @throws InvalidValue when it could not stand on a track */
    public static function from(float $body, float $bogieCentres, float $width, float $height, string $name = 'coach'): self
    {
        if (trim($name) === '' || mb_strlen($name) > 40) {
            throw new InvalidValue('A vehicle needs a name of 1 to 40 characters.', 'name');
        }
        InvalidValue::unlessBetween($body, 20.0, 2000.0, 'The body', 'mm', 'body_mm');
        InvalidValue::unlessBetween($bogieCentres, 5.0, $body, 'The distance of bogie centres', 'mm', 'bogie_centres_mm');
        InvalidValue::unlessBetween($width, 5.0, 300.0, 'The width', 'mm', 'width_mm');
        InvalidValue::unlessBetween($height, 5.0, 500.0, 'The height', 'mm', 'height_mm');

        return new self($body, $bogieCentres, $width, $height, trim($name));
    }

    /** @return array{name: string, body_mm: float, bogie_centres_mm: float, width_mm: float, height_mm: float} */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'body_mm' => $this->body,
            'bogie_centres_mm' => $this->bogieCentres,
            'width_mm' => $this->width,
            'height_mm' => $this->height,
        ];
    }

    /** The long coach that a layout begins with. */
    public static function coach(): self
    {
        return new self(303.0, 212.0, 34.0, 46.0, 'coach');
    }

    /**
     * Room taken on each side of the centreline on a curve of constant radius, mm. With `m = √(R² − B²/4)`, the radius
     * of the body's middle: inside `R − (m − w/2)`, outside `√((m + w/2)² + (L/2)²) − R`.
     *
     * @return array{inside: float, outside: float}
     *
     * @throws InvalidValue when the bogies do not fit the curve
     */
    public function throwOn(float $radius): array
    {
        if ($radius <= $this->bogieCentres / 2.0 + $this->width / 2.0) {
            throw new InvalidValue(
                sprintf(
                    'The %s, with bogie centres %s apart, cannot stand on radius %s.',
                    $this->name,
                    Format::length($this->bogieCentres, 1),
                    Format::length($radius),
                ),
                'radius_mm',
            );
        }
        $middle = sqrt($radius ** 2 - $this->bogieCentres ** 2 / 4.0);

        return [
            'inside' => $radius - ($middle - $this->width / 2.0),
            'outside' => hypot($middle + $this->width / 2.0, $this->body / 2.0) - $radius,
        ];
    }
}
