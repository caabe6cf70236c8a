<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\Files\LayoutFiles;
use App\Computed\Journal\Pictures;
use App\Models\Layout;
use Database\Seeders\DrawnPictures;
use Database\Seeders\SkarnvikBranch;
use IdleRidge\Core\Project\Project;
use Psr\Clock\ClockInterface;

/** The demo layout, worked out once for each minute that tests stand at. */
final class Demo
{
    /** @var array<int, Project> */
    private static array $made = [];

    public static function store(): Layout
    {
        $minute = intdiv(app(ClockInterface::class)->now()->getTimestamp(), 60);

        $layout = app(LayoutFiles::class)->store(self::$made[$minute] ??= app(SkarnvikBranch::class)->project());
        foreach (DrawnPictures::all() as $hash => $sizes) {
            app(Pictures::class)->keep($layout, $hash, $sizes);
        }

        return $layout;
    }
}
