<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

/** What makes the land. */
enum FeatureKind: string
{
    case Spot = 'spot';
    case Ridge = 'ridge';
    case Hollow = 'hollow';
    case Water = 'water';
    case Pad = 'pad';
    case Stream = 'stream';
    case Rough = 'rough';

    private const FOOT = ['foot_mm' => [0.0, 0.0, 2000.0, 'The foot'], 'foot_deg' => [0.0, 0.0, 85.0, 'The slope of the foot']];

    /** @return list<self> those that are made of the ground once it goes through spots and lines, in this order */
    public static function shapes(): array
    {
        return [self::Rough, self::Pad, self::Stream, self::Water];
    }

    /** @return list<string> the same as words */
    public static function shapeWords(): array
    {
        return array_column(self::shapes(), 'value');
    }

    public function isShape(): bool
    {
        return in_array($this, self::shapes(), true);
    }

    public function isSpot(): bool
    {
        return $this === self::Spot;
    }

    /** A line that the ground goes through. */
    public function isHeightLine(): bool
    {
        return $this === self::Ridge || $this === self::Hollow;
    }

    /** A ring, rather than a line or a point. */
    public function isArea(): bool
    {
        return $this->isLevel() || $this === self::Rough;
    }

    /** All its corners have one height. */
    public function isLevel(): bool
    {
        return $this === self::Water || $this === self::Pad;
    }

    public function isWet(): bool
    {
        return $this === self::Water || $this === self::Stream;
    }

    public function title(): string
    {
        return match ($this) {
            self::Spot => 'Spot height',
            self::Ridge => 'Ridge line',
            self::Hollow => 'Hollow line',
            self::Water => 'Water',
            self::Pad => 'Pad',
            self::Stream => 'Stream',
            self::Rough => 'Rough ground',
        };
    }

    /** @return array<string, array{float, float, float, string}> figure → starting value, least, most, what it is */
    public function figures(): array
    {
        return match ($this) {
            self::Spot, self::Ridge => self::FOOT,
            self::Hollow => [],
            self::Water => ['depth_mm' => [12.0, 0.5, 500.0, 'The depth'], 'shore_mm' => [40.0, 1.0, 2000.0, 'The shore']],
            self::Pad => ['batter' => [1.5, 0.02, 20.0, 'The slope around it']],
            self::Stream => [
                'width_mm' => [18.0, 2.0, 500.0, 'The width'],
                'depth_mm' => [3.0, 0.2, 100.0, 'The depth'],
                'below_mm' => [2.0, 0.0, 100.0, 'The way down to the water'],
            ],
            self::Rough => [
                'height_mm' => [3.0, 0.0, 50.0, 'The height'],
                'grain_mm' => [60.0, 5.0, 500.0, 'The grain'],
                'seed' => [1.0, 0.0, 999_999.0, 'The seed'],
            ],
        };
    }
}
