<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

/**
 * Where people stand who look at a board: along each edge it is looked at from, some way off it, with their eyes over its
 * top. Distances are starting values of exhibition practice, mm.
 */
final class Eyes
{
    public const OFF = 450.0;

    public const OVER = 350.0;

    private const APART = 400.0;

    /**
     * @param list<string> $edges front, back, left, right
     * @return list<array{float, float, float}> in section coordinates; none when it is looked at from nowhere
     */
    public static function before(Section $section, array $edges): array
    {
        $eyes = [];
        foreach ($edges as $edge) {
            $length = $section->edgeLength($edge);
            $count = max(1, (int) round($length / self::APART));
            for ($k = 0; $k < $count; $k++) {
                $at = $length * ($k + 0.5) / $count;
                $eyes[] = match ($edge) {
                    'front' => [$at, -self::OFF, $section->base + self::OVER],
                    'back' => [$at, $section->depth + self::OFF, $section->base + self::OVER],
                    'left' => [-self::OFF, $at, $section->base + self::OVER],
                    default => [$section->width + self::OFF, $at, $section->base + self::OVER],
                };
            }
        }

        return $eyes;
    }
}
