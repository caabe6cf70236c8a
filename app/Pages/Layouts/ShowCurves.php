<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\BoardPlan;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Track\Alignment;
use IdleRidge\Core\Track\CurveSetting;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\GradeProfile;
use IdleRidge\Core\Track\LeastRadius;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Vehicle;

/** How tight curves may be and are, how each is set out, and sizes outdoors and on the layout. */
final readonly class ShowCurves
{
    public function __construct(private ProjectLoader $load)
    {
    }

    /**
     * @param  array{radius: string, length: string, width: string, here: string}  $asked as it was typed, empty for what is not asked
     * @return array<string, mixed> for the view layouts.curves; `faults` by field
     */
    public function of(Layout $layout, array $asked): array
    {
        $project = $this->load->of($layout);
        $tracks = array_values(array_filter($project->runs, fn (Run $r): bool => $r->kind === RunKind::Track));
        $faults = [];
        $read = function (string $field, float $least, float $most) use ($asked, &$faults): ?float {
            try {
                return $asked[$field] === ''
                    ? null
                    : InvalidValue::unlessBetween(Amount::parse($asked[$field], 'mm', $field), $least, $most, 'This', 'mm', $field);
            } catch (InvalidValue $fault) {
                $faults[$field] = $fault->getMessage();

                return null;
            }
        };
        $radius = $read('radius', Alignment::MIN_RADIUS_MM, Alignment::MAX_RADIUS_MM);
        [$long, $wide, $here] = [$read('length', 1.0, 1e7), $read('width', 1.0, 1e7), $read('here', 0.1, 1e5)];
        $scale = $project->layout->scale;

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'vehicles' => array_map(fn (Vehicle $v): array => $this->vehicle($v), $project->layout->clearance->vehicles),
            'runs' => array_map(fn (Run $r): array => $this->run($r, $project), $tracks),
            'trial' => $radius === null ? null : $this->trial($radius, $project),
            'roads' => array_map(
                fn (Run $r): array => [
                    'name' => $r->name,
                    'here' => Format::length(self::width($r->profile), 1),
                    'outdoors' => self::outdoors($scale, self::width($r->profile)),
                ],
                array_values(array_filter($project->runs, fn (Run $r): bool => $r->kind === RunKind::Road)),
            ),
            'footprint' => $long === null ? null : Format::several(
                array_map($scale->toModel(...), $wide === null ? [$long] : [$long, $wide]),
                'mm',
                1,
            ),
            'outdoors' => $here === null ? null : self::outdoors($scale, $here),
            'asked' => $asked,
            'faults' => $faults,
            'step' => Format::length(BoardPlan::CHORD_OFFSET_STEP_MM),
        ];
    }

    /** A length here as it is outdoors. */
    private static function outdoors(Scale $scale, float $mm): string
    {
        return Format::text($scale->toPrototype($mm) / 1000.0, 'm', 2);
    }

    /** What a radius adds to a grade. */
    private static function felt(float $radius, Project $project): string
    {
        return sprintf('%.1f %%', GradeProfile::curveResistance(1.0 / $radius, $project->layout->gauge));
    }

    private static function width(FormationProfile $profile): float
    {
        return $profile->halfWidth(Side::Left) + $profile->halfWidth(Side::Right);
    }

    /** @return array<string, mixed> */
    private function vehicle(Vehicle $vehicle): array
    {
        return [
            'name' => $vehicle->name,
            'body' => Format::length($vehicle->body),
            'from' => array_map(
                fn (float $lengths): string => Format::length($lengths * $vehicle->body),
                [LeastRadius::SURE, LeastRadius::LOOKS, LeastRadius::COUPLES],
            ),
        ];
    }

    /** @return array<string, mixed> a track with its tightest curve and what that means for each vehicle */
    private function run(Run $run, Project $project): array
    {
        $curves = CurveSetting::of($run->alignment, 0.0, $run->alignment->length, BoardPlan::CHORD_OFFSET_STEP_MM);
        $tightest = $curves === [] ? null : min(array_map(fn (CurveSetting $c): float => $c->radius, $curves));
        $where = array_values(array_filter($curves, fn (CurveSetting $c): bool => $c->radius === $tightest))[0] ?? null;

        return [
            'name' => $run->name,
            'radius' => $tightest === null ? null : Format::length($tightest),
            'at' => $where === null ? '' : 'st '.Format::cell($where->from).'–'.Format::cell($where->to),
            'vehicles' => $tightest === null ? [] : $this->on($tightest, $project, $run->profile),
            'felt' => $tightest === null ? null : self::felt($tightest, $project),
            'curves' => array_map($this->setOut(...), $curves),
        ];
    }

    /** @return array<string, mixed> */
    private function trial(float $radius, Project $project): array
    {
        return [
            'radius' => Format::length($radius),
            'vehicles' => $this->on($radius, $project, null),
            'felt' => self::felt($radius, $project),
        ];
    }

    /**
     * What each vehicle needs on a radius, and what it makes of it.
     *
     * @return list<array{name: string, inside: string, outside: string, room: string, word: string, bad: bool}>
     */
    private function on(float $radius, Project $project, ?FormationProfile $profile): array
    {
        $margin = $project->layout->clearance->margin;
        $out = [];
        foreach ($project->layout->clearance->vehicles as $vehicle) {
            try {
                $throw = $vehicle->throwOn($radius);
            } catch (InvalidValue $cannot) {
                $none = array_fill_keys(['inside', 'outside', 'room'], '–');
                $out[] = ['name' => $vehicle->name, ...$none, 'word' => $cannot->getMessage(), 'bad' => true];

                continue;
            }
            $least = $profile === null ? null : LeastRadius::within($vehicle, $profile);
            $hangs = $least !== null && $radius < $least;
            $word = LeastRadius::word($radius, $vehicle).
                ($hangs ? '; hangs over its formation, from '.Format::length($least).' on it does not' : '');
            $bad = LeastRadius::lengths($radius, $vehicle) < LeastRadius::RUNS;
            $out[] = [
                'name' => $vehicle->name,
                'inside' => Format::length($throw['inside'], 1),
                'outside' => Format::length($throw['outside'], 1),
                'room' => Format::length($throw['inside'] + $throw['outside'] + 2.0 * $margin),
                'word' => $word,
                'bad' => $bad,
            ];
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private function setOut(CurveSetting $curve): array
    {
        $pairs = fn (array $offsets): array => array_map(
            fn (array $one): array => [Format::cell($one[0]), Format::cell($one[1], 1)],
            $offsets,
        );

        return [
            'title' => ($curve->isArc ? 'R ' : 'transition to R ').Format::cell($curve->radius),
            'where' => 'st '.Format::cell($curve->from).'–'.Format::cell($curve->to),
            'turn' => sprintf('%.1f° %s', abs($curve->turnDeg), $curve->turnDeg < 0.0 ? 'right' : 'left'),
            'chord' => Format::length($curve->chord(), 1),
            'fromChord' => $pairs(array_values(array_filter($curve->fromChord, fn (array $o): bool => $o[0] >= 0.0 || ! $curve->isArc))),
            'fromTangent' => $pairs($curve->fromTangent),
            'even' => $curve->isArc,
        ];
    }
}
