<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** What stands or lies along a line. */
enum RowKind: string
{
    case Fence = 'fence';

    case Poles = 'poles';

    case Hedge = 'hedge';

    case DryWall = 'dry-wall';

    case Kerb = 'kerb';

    case Sleepers = 'sleepers';

    case Joints = 'joints';

    case MilePosts = 'mile-posts';

    case GradePosts = 'grade-posts';

    /** One piece after the other rather than things apart. */
    public function isUnbroken(): bool
    {
        return match ($this) {
            self::Hedge, self::DryWall => true,
            default => false,
        };
    }

    /** Things that end a span: those between are spread evenly over it, no further apart than their spacing. */
    public function isSpanned(): bool
    {
        return $this === self::Fence || $this === self::Poles;
    }

    /** Whether it stands up, and so may be met by what passes. */
    public function stands(): bool
    {
        return ! in_array($this, [self::Kerb, self::Sleepers, self::Joints], true);
    }

    public function word(int $count = 1): string
    {
        $one = match ($this) {
            self::Fence, self::MilePosts, self::GradePosts => 'post',
            self::Poles => 'pole',
            self::Hedge, self::DryWall => 'length',
            self::Kerb => 'stone',
            self::Sleepers => 'sleeper',
            self::Joints => 'joint',
        };

        return $count === 1 ? $one : "{$one}s";
    }

    /** What the whole is called. */
    public function title(): string
    {
        return match ($this) {
            self::Fence => 'Fence',
            self::Poles => 'Pole line',
            self::Hedge => 'Hedge',
            self::DryWall => 'Dry wall',
            self::Kerb => 'Kerb',
            self::Sleepers => 'Sleepers',
            self::Joints => 'Joints',
            self::MilePosts => 'Mile posts',
            self::GradePosts => 'Grade posts',
        };
    }

    /** Figures to begin with, as such things are built outdoors: metres, angles in degrees. */
    public function figures(): RowFigures
    {
        return match ($this) {
            self::Fence => new RowFigures(3.0, 1.2, 0.12, [0.2, 0.4, 0.65, 0.92, 1.2], 60.0),
            self::Poles => new RowFigures(40.0, 7.5, 0.25, [6.6, 6.6, 7.2, 7.2], 0.0),
            self::Hedge => new RowFigures(20.0, 1.5, 1.1),
            self::DryWall => new RowFigures(10.0, 1.3, 0.6),
            self::Kerb => new RowFigures(0.9, 0.25, 0.3),
            self::Sleepers => new RowFigures(0.65, 0.13, 0.25),
            self::Joints => new RowFigures(5.0, 0.1, 0.02),
            self::MilePosts => new RowFigures(1000.0, 1.0, 0.25),
            self::GradePosts => new RowFigures(1000.0, 1.1, 0.2),
        };
    }
}
