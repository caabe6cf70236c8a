<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cuts\Span;
use IdleRidge\Core\Cuts\SpanMaterial;
use IdleRidge\Core\Cuts\TunnelBore;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\StructureKind;

/** A gap bridged with foam and with plywood, side by side: how far it bends, how near it is to breaking, what the air makes of it. */
final readonly class ShowSpans
{
    public const FIELDS = ['span', 'wide', 'thick', 'ply', 'rise', 'hand'];

    /** What is shown before anything is asked: a strip of track base over a gap, by units in use; mm and kg. */
    private const STARTING = [
        'metric' => ['span' => 200.0, 'wide' => 60.0, 'thick' => 40.0, 'ply' => 6.0, 'rise' => 0.0, 'hand' => 3.0],
        'imperial' => ['span' => 203.2, 'wide' => 63.5, 'thick' => 38.1, 'ply' => 6.35, 'rise' => 0.0, 'hand' => 2.72155422],
    ];

    /** Beyond this share of what breaks it a strip is as good as broken. */
    private const BREAKS = 1.0;

    public function __construct(private ProjectLoader $load)
    {
    }

    /**
     * @param  array<string, string>  $asked by FIELDS, as typed; empty for the starting value
     * @return array<string, mixed> for the view layouts.spans; `faults` by field
     */
    public function of(Layout $layout, array $asked): array
    {
        $project = $this->load->of($layout);
        $faults = [];
        $values = self::STARTING[UnitsInUse::current()->value];
        foreach (self::FIELDS as $field) {
            try {
                $unit = $field === 'hand' ? 'kg' : 'mm';
                $values[$field] = $asked[$field] === '' ? $values[$field] : Amount::parse($asked[$field], $unit, $field);
            } catch (InvalidValue $fault) {
                $faults[$field] = $fault->getMessage();
            }
        }
        $spans = $faults === [] ? self::spans($values, $faults) : [];
        $airs = self::airs($project);

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'rows' => array_map(fn (Span $s): array => self::row($s, $airs), $spans),
            'drawing' => $spans === [] ? null : SpanDrawing::of($spans),
            'airs' => array_map(
                fn (Climate $a): string => Format::text($a->temperature, '°C', 1).' and '.round($a->humidity).' %',
                self::ends($airs),
            ),
            'shown' => array_combine(self::FIELDS, array_map(
                fn (string $f): string => $asked[$f] !== '' ? $asked[$f] : Format::field($values[$f], $f === 'hand' ? 'kg' : 'mm'),
                self::FIELDS,
            )),
            'bears' => $spans === [] ? '' : Format::text($spans[0]->bears * 1e-3 * $spans[0]->width * $spans[0]->length, 'g'),
            'most' => $spans === [] ? '' : Format::length(Span::MAX_BEND * $spans[0]->length, 1),
            'structures' => self::structures($project),
            'faults' => $faults,
        ];
    }

    /**
     * @param  array<string, float>  $values by FIELDS
     * @param  array<string, string>  $faults filled
     * @return list<Span>
     */
    private static function spans(array $values, array &$faults): array
    {
        $out = [];
        foreach (SpanMaterial::cases() as $material) {
            $isPly = $material === SpanMaterial::Plywood;
            try {
                $out[] = new Span(
                    $material,
                    $values['span'],
                    $values['wide'],
                    $values[$isPly ? 'ply' : 'thick'],
                    $values['rise'],
                    $values['hand'],
                );
            } catch (InvalidValue $fault) {
                $faults[$fault->place === 'thick' && $isPly ? 'ply' : $fault->place] = $fault->getMessage();
            }
        }

        return $faults === [] ? $out : [];
    }

    /**
     * @param  list<Climate>  $airs
     * @return array<string, mixed>
     */
    private static function row(Span $span, array $airs): array
    {
        $enough = $span->thickEnough();
        $moves = $span->moves($airs);
        $holds = $span->holds();

        return [
            'name' => $span->material->value,
            'thick' => Format::length($span->thick, 1),
            'hand' => Format::length($span->bendsByHand(), 1),
            'itself' => Format::length($span->bendsByItself(), 2),
            'load' => round(100.0 * $span->load()).' %',
            'moves' => Format::length($moves, 2),
            'bows' => $span->rise > 0.0 || $span->bows($moves) < 0.05 ? null : Format::length($span->bows($moves), 1),
            'presses' => $span->rise > 0.0 ? null : Format::text($span->presses($moves) / Span::NEWTON_PER_KG, 'kg', 1),
            'thrust' => $span->thrust() < 0.5 ? null : Format::text($span->thrust() / Span::NEWTON_PER_KG, 'kg', 1),
            'word' => match (true) {
                $span->load() >= self::BREAKS => 'breaks',
                $span->bendsByHand() > Span::MAX_BEND * $span->length => 'bends too far',
                $span->load() > Span::MAX_LOAD => 'sinks in time',
                default => 'holds',
            },
            'enough' => $enough === null ? 'nothing does' : Format::length($enough, 1),
            'bad' => ! $holds,
        ];
    }

    /** @return list<Climate> of all rooms, by day and at night */
    private static function airs(Project $project): array
    {
        return array_merge(...array_map(fn (Room $r): array => [$r->day, $r->night], $project->works->rooms));
    }

    /**
     * @param  list<Climate>  $airs
     * @return list<Climate> the driest and the dampest of them
     */
    private static function ends(array $airs): array
    {
        usort($airs, fn (Climate $a, Climate $b): int => $a->humidity <=> $b->humidity);

        return count($airs) < 2 ? $airs : [$airs[0], $airs[count($airs) - 1]];
    }

    /** @return list<array{name: string, span: string, asks: array<string, string>}> what the layout bridges, to be tried */
    private static function structures(Project $project): array
    {
        $out = [];
        foreach ($project->runs as $run) {
            foreach ($run->structures as $structure) {
                $out[] = match ($structure->kind) {
                    StructureKind::Bridge => self::bridge($run, $structure),
                    StructureKind::Tunnel => self::tunnel($project, $run, $structure),
                    default => null,
                };
            }
        }

        return array_values(array_filter($out));
    }

    /** @return array{name: string, span: string, asks: array<string, string>} its widest bay, over its piers */
    private static function bridge(Run $run, Structure $bridge): array
    {
        $bay = ($bridge->to - $bridge->from) / ($bridge->piers + 1);
        $wide = $run->profile->halfWidth(Side::Left) + $run->profile->halfWidth(Side::Right);

        return [
            'name' => "Bridge of {$run->name}",
            'span' => Format::length($bay),
            'asks' => [
                'span' => Format::field($bay),
                'wide' => Format::field($wide),
                'thick' => Format::field($bridge->thick),
                'ply' => Format::field($bridge->thick),
            ],
        ];
    }

    /** @return array{name: string, span: string, asks: array<string, string>} the land over it, as a flat lid */
    private static function tunnel(Project $project, Run $run, Structure $tunnel): array
    {
        $clear = $project->layout->clearance;
        $bore = TunnelBore::through($run, $tunnel, $clear->vehicles, $clear->margin);

        return [
            'name' => "Land over the tunnel of {$run->name}",
            'span' => Format::length($bore->left + $bore->right),
            'asks' => ['span' => Format::field($bore->left + $bore->right), 'wide' => Format::field(100.0)],
        ];
    }
}
