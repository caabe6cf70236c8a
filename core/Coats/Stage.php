<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** The steps of the work, in the order in which they go over a board. */
enum Stage: int
{
    case Form = 2;
    case Land = 3;
    case Rock = 4;
    case Earth = 5;
    case Hard = 6;
    case Track = 7;
    case Cover = 8;
    case Grass = 9;
    case Growth = 10;
    case Water = 11;
    case Lineside = 12;

    /** By its name in files. */
    public static function named(string $name): ?self
    {
        foreach (self::cases() as $stage) {
            if (strtolower($stage->name) === $name) {
                return $stage;
            }
        }

        return null;
    }

    public function word(): string
    {
        return match ($this) {
            self::Form => 'form',
            self::Land => 'land',
            self::Rock => 'rock',
            self::Earth => 'earth base',
            self::Hard => 'hard surfaces',
            self::Track => 'track dress',
            self::Cover => 'ground cover',
            self::Grass => 'grass',
            self::Growth => 'growth',
            self::Water => 'water',
            self::Lineside => 'lineside',
        };
    }
}
