<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

/** Where a first board stands. Starting values of practice: what is set stands for the air until it is measured. */
enum StartingRoom: string
{
    case Heated = 'heated';
    case Cool = 'cool';
    case Shed = 'shed';

    public function title(): string
    {
        return match ($this) {
            self::Heated => 'Workroom',
            self::Cool => 'Cellar',
            self::Shed => 'Shed',
        };
    }

    public function says(): string
    {
        return match ($this) {
            self::Heated => 'in a heated room',
            self::Cool => 'in a cellar or an unheated room',
            self::Shed => 'in a shed or under the roof',
        };
    }

    public function room(string $uid): Room
    {
        [$day, $night, $dayAir, $nightAir] = match ($this) {
            self::Heated => [20.0, 17.0, 50.0, 55.0],
            self::Cool => [14.0, 12.0, 65.0, 68.0],
            self::Shed => [12.0, 6.0, 70.0, 80.0],
        };

        return Room::of($uid, $this->title(), $day, $night, $dayAir, $nightAir);
    }
}
