<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Computed\Library\LibraryFiles;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** The palette of a layout: what is mixed of what, wet and dry, where it lies, and two of them side by side. */
final readonly class ShowPalette
{
    public function __construct(private ProjectLoader $load)
    {
    }

    /**
     * @param  array<string, mixed>  $query colour to change; `one` and `other` to hold side by side
     * @return array<string, mixed> for the view coats.palette
     */
    public function of(Layout $layout, array $query): array
    {
        $project = $this->load->of($layout);
        $bases = LibraryFiles::basePaints();
        $query = array_filter($query, is_string(...));
        $rows = [];
        foreach ($project->works->colours as $colour) {
            $wet = $colour->wet($bases);
            $rows[$colour->uid] = [
                'colour' => $colour,
                'wet' => $wet->toHex(),
                'dry' => $wet->dry()->toHex(),
                'lies' => $this->lies($project, $colour),
                'pigment' => $wet->dry(),
            ];
        }
        [$one, $other] = [
            $rows[$query['one'] ?? ''] ?? (array_values($rows)[0] ?? null),
            $rows[$query['other'] ?? ''] ?? (array_values($rows)[1] ?? null),
        ];
        $apart = $one === null || $other === null ? null : $one['pigment']->from($other['pigment']);

        $picked = $rows[$query['colour'] ?? '']['colour'] ?? null;
        $own = array_filter($project->works->colours, fn (Colour $c): bool => $c->tied === null && $c->uid !== $picked?->uid);

        return [
            'layout' => $layout,
            'first' => $layout->sections()->first(),
            'rows' => $rows,
            'bases' => array_map(fn (Pigment $p): string => $p->toHex(), $bases),
            'picked' => $picked,
            'shadeable' => array_column(array_map(fn (Colour $c): array => [$c->uid, $c->name], $own), 1, 0),
            'names' => array_map(fn (array $row): string => $row['colour']->name, $rows),
            'one' => $one,
            'other' => $other,
            'region' => $project->layout->region,
            'season' => $project->layout->season,
            'apart' => $apart === null ? null : new Quantity($apart, '', 'distance of both in CIELAB, dry (ΔE 1976)', decimals: 1),
            'seen' => match (true) {
                $apart === null => '',
                $apart < 1.0 => 'nobody sees a difference',
                $apart < 3.0 => 'seen only side by side, in good light',
                $apart < 6.0 => 'seen side by side',
                default => 'seen at a glance',
            },
        ];
    }

    /** @return list<string> boards and zones where coats have it */
    private function lies(Project $project, Colour $colour): array
    {
        $zones = array_column(array_map(fn (Zone $z): array => [$z->uid, $z], $project->works->zones), 1, 0);
        $boards = array_column(array_map(fn (Section $s): array => [$s->uid, $s->name], $project->sections), 1, 0);
        $coats = array_filter($project->works->coats, fn (Coat $c): bool => $c->colour === $colour->uid && isset($zones[$c->zone]));

        return array_values(
            array_unique(array_map(fn (Coat $c): string => "{$boards[$zones[$c->zone]->section]}, {$zones[$c->zone]->name}", $coats)),
        );
    }
}
