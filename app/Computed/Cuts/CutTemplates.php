<?php

declare(strict_types=1);

namespace App\Computed\Cuts;

use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Rib;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Project\HiddenMarks;
use IdleRidge\Core\Project\HiddenThing;

/** Templates of what a section is cut from: pieces of foam, or the ribs of a shell. */
final class CutTemplates
{
    /**
     * @param  int  $layer of the foam, or the rib; 0 for all
     * @return list<Template>
     */
    public static function of(CutResult $page, int $layer = 0): array
    {
        $shell = $page->shell();
        if ($shell !== null) {
            return array_values(
                array_filter(
                    array_map(
                        fn (Rib $rib, int $k): ?Template => $layer !== 0 && $layer !== $k + 1 ? null : $rib->template(),
                        $shell->ribs,
                        array_keys($shell->ribs),
                    ),
                ),
            );
        }

        return self::ofStack($page->stack(), $layer, HiddenThing::on($page->project, $page->section));
    }

    /**
     * @param  list<HiddenThing>  $hidden
     * @return list<Template>
     */
    private static function ofStack(?FoamStack $stack, int $layer, array $hidden): array
    {
        $out = [];
        foreach ($stack->layers ?? [] as $one) {
            if ($stack !== null && ($layer === 0 || $one->index === $layer)) {
                foreach (Template::ofLayer($stack, $one->index) as $template) {
                    $out[] = HiddenMarks::on($template, $one, $hidden);
                }
            }
        }

        return $out;
    }
}
