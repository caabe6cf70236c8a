<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Track\FormationGroup;
use IdleRidge\Core\Track\LeastRadius;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Vehicle;

/** The formations of a layout with the runs that lie on each: cut across, what room they take, one of them to be changed. */
final readonly class ShowFormations
{
    /** How high the bank and how deep the cutting whose width is told, mm. */
    private const HIGH_MM = ['metric' => 50.0, 'imperial' => 50.8];

    public function __construct(private ProjectLoader $load)
    {
    }

    /**
     * @param  string  $of a run of the formation to be changed; any other word for the first
     * @return array<string, mixed> for the view layouts.formations
     */
    public function of(Layout $layout, string $of): array
    {
        $project = $this->load->of($layout);
        $groups = FormationGroup::of($project->runs);
        $picked = array_values(array_filter($groups, fn (FormationGroup $g): bool => $g->has($of)))[0] ?? $groups[0] ?? null;

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'cards' => array_map(fn (FormationGroup $g): array => self::card($g, $project) + ['picked' => $g === $picked], $groups),
            'picked' => $picked,
            'runs' => $picked === null ? [] : array_map(
                fn (Run $r): array => ['uid' => $r->uid, 'name' => $r->name, 'on' => $picked->has($r->uid)],
                array_values(array_filter($project->runs, fn (Run $r): bool => $r->kind === $picked->kind)),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function card(FormationGroup $group, Project $project): array
    {
        $scale = $project->layout->scale;
        $profile = $group->profile;
        $high = self::HIGH_MM[UnitsInUse::current()->value];
        $track = $group->kind === RunKind::Track;

        return [
            'uid' => $group->runs[0]->uid,
            'names' => implode(', ', array_map(fn (Run $run): string => $run->name, $group->runs)),
            'kind' => $track ? 'track' : 'road',
            'drawing' => FormationDrawing::of($group, $scale->ratio, $project->layout->gauge),
            'facts' => [
                self::fact(
                    'level strip',
                    Format::length($group->width(), 1),
                    Format::text($scale->toPrototype($group->width()) / 1000.0, 'm', 2).' outdoors',
                ),
                ...$track ? [self::fact('top of rail', Format::length($profile->railTop(), 1), 'over the formation')] : [],
                self::fact('bank', Format::length($group->widthOnBank($high)), 'of the board, '.Format::length($high).' high'),
                self::fact('cutting', Format::length($group->widthInCutting($high)), 'of the board, as deep'),
                self::fact(
                    'ditch',
                    $profile->ditchDepth() > 0.0 ? Format::several([$profile->ditchWidth(), $profile->ditchDepth()], 'mm', 1) : 'none',
                    $profile->ditchDepth() > 0.0 ? 'wide and deep, in cuttings' : '',
                ),
            ],
            'hangs' => $track ? self::hanging($group, $project) : '',
        ];
    }

    /** @return array{label: string, figure: null, text: string, note: string} */
    private static function fact(string $label, string $text, string $note): array
    {
        return ['label' => $label, 'figure' => null, 'text' => $text, 'note' => $note];
    }

    /** From which radius on each vehicle stays over it. */
    private static function hanging(FormationGroup $group, Project $project): string
    {
        $words = array_map(function (Vehicle $vehicle) use ($group): string {
            $least = LeastRadius::within($vehicle, $group->profile);

            return $least === null
                ? "{$vehicle->name} hangs over it even on the straight"
                : "{$vehicle->name} stays over it in curves from ".Format::length($least).' on';
        }, $project->layout->clearance->vehicles);

        return $words === [] ? '' : ucfirst(implode('; ', $words)).'.';
    }
}
