<?php

declare(strict_types=1);

namespace App\Pages\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Land\AngleOfRepose;
use IdleRidge\Core\Land\Heap;
use IdleRidge\Core\Land\LandBeside;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Rulebook\Land\TunnelHolds;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\GradeProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunEnds;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Track\VehicleSweeps;

/** Puts the core's figures into the words of the Land screen. Every one is a Figure that can say where it comes from. */
final class LandReadings
{
    /** So far beside a vehicle land is looked for, mm. */
    private const FREE_SEARCH_MM = 60.0;

    /** @return list<array{label: string, figure: Quantity, note: string}> the title strip */
    public function facts(LandPage $page): array
    {
        $f = $page->sheet->figures;
        $scale = $page->project->layout->scale;
        $plan = Format::field($f['plan']->value / 1e6, 'm²');
        $litres = fn (Quantity $mm3): Quantity => new Quantity($mm3->value / 1e6, 'l', $mm3->formula, $mm3->inputs, $mm3->provenance, 1);

        return [
            [
                'label' => 'Highest point',
                'figure' => $f['z_max'],
                'note' => $this->prototype($scale->toPrototype($f['z_max']->value - $page->section->base)),
            ],
            [
                'label' => 'Land surface, true',
                'figure' => new Quantity($f['surface']->value / 1e6, 'm²', $f['surface']->formula, $f['surface']->inputs, decimals: 2),
                'note' => "on {$plan} plan",
            ],
            ['label' => 'Land over the board', 'figure' => $litres($f['volume']), 'note' => ''],
            [
                'label' => 'Steepest',
                'figure' => new Quantity($f['max_slope']->value, '°', $f['max_slope']->formula, $f['max_slope']->inputs, decimals: 0),
                'note' => '',
            ],
        ];
    }

    /** @return list<array{label: string, figures: list<Quantity>, bad: bool}> at the cut line */
    public function atCut(LandPage $page): array
    {
        $run = $page->cut->run;
        if ($run === null) {
            $p = $page->cut->origin;
            $ground = $page->model->ground->at($p->x, $p->y);

            return [
                [
                    'label' => 'Ground in the middle of the cut',
                    'figures' => [
                        new Quantity(
                            $ground,
                            'mm',
                            'natural ground through the spots and lines',
                            ['x' => Format::length($p->x), 'y' => Format::length($p->y)],
                            decimals: 1,
                        ),
                    ],
                    'bad' => false,
                ],
            ];
        }
        $station = $page->cut->station;
        $at = ['station' => Format::length($station)];
        $p = $run->alignment->pointAt($station);
        $level = new Quantity($run->grade->heightAt($station), 'mm', 'straight between the grade points on either side', $at, decimals: 1);
        $ground = new Quantity(
            $page->model->ground->at($p->x, $p->y),
            'mm',
            'natural ground through the spots and lines',
            $at,
            decimals: 1,
        );

        return [
            [
                'label' => ($run->kind === RunKind::Road ? 'Road' : 'Formation').', ground at centre',
                'figures' => [$level, $ground],
                'bad' => false,
            ],
            $this->grade($page, $run, $station),
            ...$run->kind === RunKind::Road ? [] : $this->clearance($page, $run, $station),
            ...$this->alongLine($page, $run, $station),
        ];
    }

    /** @return list<array{finding: Finding, number: int, where: string, what: string}> */
    public function findings(LandPage $page): array
    {
        $out = [];
        foreach ($page->sheet->findings as $k => $finding) {
            $place = $finding->place;
            $where =
                $place->run === null
                    ? 'x '.Format::cell($place->xMm).', y '.Format::cell($place->yMm)
                    : 'st '.Format::cell((float) $place->fromMm).'–'.Format::cell((float) $place->toMm);
            $first = array_values($finding->figures)[0] ?? null;
            $out[] = [
                'finding' => $finding,
                'number' => $k + 1,
                'where' => $where.($place->side === null ? '' : ', '.$place->side->value),
                'what' => $first === null
                        ? ''
                        : $first->told(),
            ];
        }

        return $out;
    }

    /** @return list<array{label: string, figures: list<Quantity>, bad: bool}> where the run goes on from another */
    private function alongLine(LandPage $page, Run $run, float $station): array
    {
        foreach ($page->project->runs as $whole) {
            if ($whole->uid === $run->uid) {
                [$before, $first] = RunEnds::along($whole, $page->project->runs);

                return $before === 0.0
                    ? []
                    : [
                        [
                            'label' => "Along the line from {$first->name}",
                            'figures' => [
                                new Quantity($before + $station, 'mm', 'lengths of the runs before this one, and the station here', [
                                    'before' => Format::length($before),
                                    'station' => Format::length($station),
                                ]),
                            ],
                            'bad' => false,
                        ],
                    ];
            }
        }

        return [];
    }

    /** @return array{label: string, figures: list<Quantity>, bad: bool} */
    private function grade(LandPage $page, Run $run, float $station): array
    {
        $grade = new Quantity(
            $run->grade->gradeAt($station),
            '%',
            'rise over length between the grade points on either side',
            ['station' => Format::length($station)],
            decimals: 1,
        );
        $curvature = $run->alignment->curvatureAt($station);
        if ($curvature === 0.0 || ! $page->project->layout->feltGrade || $run->kind === RunKind::Road) {
            return ['label' => $curvature === 0.0 ? 'Grade, on the straight' : 'Grade', 'figures' => [$grade], 'bad' => false];
        }
        $gauge = $page->project->layout->gauge;
        $felt = new Quantity(
            abs($grade->value) + GradeProfile::curveResistance($curvature, $gauge),
            '%',
            'grade + 812.8 / radius × gauge / 16.5, a rule of thumb',
            [
                'grade' => $grade->text().' %',
                'radius' => Format::length(1.0 / abs($curvature)),
                'gauge' => Format::length($gauge, 2),
            ],
            decimals: 1,
        );

        return ['label' => 'Grade, felt on R '.Format::cell(1.0 / abs($curvature)), 'figures' => [$grade, $felt], 'bad' => false];
    }

    /** @return list<array{label: string, figures: list<Quantity>, bad: bool}> */
    private function clearance(LandPage $page, Run $run, float $station): array
    {
        $layout = $page->project->layout;
        if ($run->structureAt($station)?->kind === StructureKind::Tunnel) {
            $lid = $page->project->lid($page->model, $run, $station);

            return [
                [
                    'label' => 'Land over the bore',
                    'bad' => $lid < TunnelHolds::MIN_LID_MM,
                    'figures' => [
                        new Quantity(
                            $lid,
                            'mm',
                            'land over the centreline less rail top, vehicle height and margin',
                            ['wanted' => Format::length(TunnelHolds::MIN_LID_MM)],
                            decimals: 1,
                        ),
                    ],
                ],
            ];
        }
        $throw = (new VehicleSweeps($run->alignment, $layout->clearance->vehicles))->at($station);
        $figures = [];
        $bad = false;
        foreach (Side::cases() as $side) {
            $taken = $throw[$side->value];
            $over = LandBeside::firstOverRails(
                $page->model,
                $run,
                $station,
                $side,
                $taken,
                $taken + self::FREE_SEARCH_MM,
            );
            $free = $over === null ? self::FREE_SEARCH_MM : $over - $taken;
            $bad = $bad || $free < $layout->clearance->margin;
            $figures[] = new Quantity(
                $free,
                'mm',
                $free >= self::FREE_SEARCH_MM
                    ? 'no land above the rails within '.Format::length(60.0).' of the vehicle'
                    : "from the side of the {$throw["{$side->value}_by"]->name} to land above the rails",
                [
                    $side->value => Format::length($taken, 1).' taken',
                    'wanted' => Format::length($layout->clearance->margin, 1),
                ],
                decimals: 1,
            );
        }

        return [['label' => 'Free beside the vehicle, up to '.Format::cell(60.0), 'figures' => $figures, 'bad' => $bad]];
    }

    private function prototype(float $mm): string
    {
        return Format::text($mm / 1000.0, 'm').' real';
    }

    /** @return list<array{before: string, figure: Quantity, after: string}> what the picked water, stream or heap comes to */
    public function shape(LandPage $page): array
    {
        $from = ['cells of' => Format::length($page->sheet->cell, 1)];
        $hill = $page->pickedFeature();
        if ($hill !== null && in_array($hill->kind, [FeatureKind::Spot, FeatureKind::Ridge], true)) {
            return $this->heap($page, $hill);
        }
        $isPond = $hill !== null && $hill->kind === FeatureKind::Water;
        $waters = $isPond
            ? new WaterStudy(
                $page->project,
                $page->section,
                $page->model,
                $page->sheet->grid()->mesh($page->section->width, $page->section->depth),
            )
            : null;
        foreach ($waters?->bodies() ?? [] as $body) {
            if ($body->uid === $page->picked) {
                $from += ['level' => Format::length($body->level, 1)];
                $out = [
                    [
                        'before' => 'Holds',
                        'figure' => new Quantity($body->curve->volume() / 1000.0, 'ml', 'level less the bed, over that area', $from),
                        'after' => '',
                    ],
                    [
                        'before' => ' over',
                        'figure' => new Quantity(
                            $body->curve->area() / 100.0,
                            'cm²',
                            'plan area within the bank that lies under the level',
                            $from,
                        ),
                        'after' => $body->margin() === null ? '.' : '; may rise',
                    ],
                ];

                return $body->margin() === null ? $out : [
                    ...$out,
                    [
                        'before' => '',
                        'figure' => new Quantity($body->margin(), 'mm', 'lowest way out over the land less the level', $from, decimals: 1),
                        'after' => ' before it runs out.',
                    ],
                ];
            }
        }
        foreach ($page->model->ground->streams as $stream) {
            if ($stream->uid === $page->picked) {
                return [
                    [
                        'before' => 'Falls',
                        'figure' => new Quantity($stream->fall(), 'mm', 'water at the source less water at the mouth', decimals: 1),
                        'after' => '',
                    ],
                    [
                        'before' => ' over',
                        'figure' => new Quantity($stream->length(), 'mm', 'length of its line', decimals: 0),
                        'after' => '; at its deepest',
                    ],
                    [
                        'before' => '',
                        'figure' => new Quantity(max($stream->cuts), 'mm', 'ground along its line less its water', decimals: 1),
                        'after' => ' under the ground.',
                    ],
                ];
            }
        }

        return [];
    }

    /**
     * What a hill would take if it stood by itself, and how steep it stands.
     *
     * @return list<array{before: string, figure: Quantity, after: string}>
     */
    private function heap(LandPage $page, LandFeature $feature): array
    {
        $heap = array_values(array_filter($page->model->ground->heaps, fn (Heap $h): bool => $h->uid === $feature->uid))[0] ?? null;
        $crest = $feature->points[0];
        foreach ($feature->points as $p) {
            $crest = $p->z > $crest->z ? $p : $crest;
        }
        $ground = $heap === null ? $page->section->base : $page->model->ground->at($crest->x, $crest->y, $heap);
        $height = $crest->z - $ground;
        if ($height <= 0.0) {
            return [];
        }
        $natural = AngleOfRepose::EARTH_DEG;
        $slope = $feature->figures['foot_deg'] ?? $natural;
        $from = [
            'height' => Format::length($height, 1).' over '.($heap === null ? 'the board' : 'the ground there'),
            'slope' => Decimal::trimmed($slope, 1).'°',
        ];
        $out = [
            [
                'before' => 'At '.Decimal::trimmed($slope, 1).'° its height takes a base',
                'figure' => new Quantity(
                    2.0 * Heap::footFor($height, $slope),
                    'mm',
                    '2 × height / tan of the slope',
                    $from,
                    $slope === $natural ? 'starting value' : 'yours',
                    0,
                ),
                'after' => ' wide.',
            ],
        ];
        if ($heap !== null && $heap->foot > 0.0) {
            $over = $heap->sidesDeg($ground) - $natural;
            $out[] = [
                'before' => ' Its base allows',
                'figure' => new Quantity(
                    Heap::heightFor($heap->foot, $natural),
                    'mm',
                    'half of the base × tan of the slope loose earth lies at',
                    ['slope' => Decimal::trimmed($natural, 0).'°'],
                    'starting value',
                    0,
                ),
                'after' => ' of height so;',
            ];
            $out[] = [
                'before' => ' its sides stand at',
                'figure' => new Quantity($heap->sidesDeg($ground), '°', 'height over half of the base', $from, decimals: 0),
                'after' => $over > 0.5 ? ', '.Decimal::trimmed($over, 0).'° over what loose earth lies at.' : '.',
            ];
        } elseif ($heap !== null && $slope > $natural + 0.5) {
            $out[] = [
                'before' => ' That is',
                'figure' => new Quantity(
                    $slope - $natural,
                    '°',
                    'its slope less that at which loose earth lies',
                    ['loose earth' => Decimal::trimmed($natural, 0).'°'],
                    'starting value',
                    0,
                ),
                'after' => ' over what loose earth lies at.',
            ];
        }

        return $out;
    }

    /**
     * @return list<array{before: string, figures: list<Quantity>, after: string}> what the picked run's bridges and walls come to, and what
     *     it crosses
     */
    public function structures(LandPage $page): array
    {
        $run = $page->pickedRun();
        if ($run === null) {
            return [];
        }
        $out = [];
        foreach ($run->structures as $structure) {
            foreach ($structure->pierStations() as $k => $station) {
                $p = $run->alignment->pointAt($station);
                $tall = $run->grade->heightAt($station) - $structure->thick - $page->model->heightAt($p->x, $p->y);
                $out[] = [
                    'before' => 'Pier '.($k + 1).' at '.Format::cell($station).' stands',
                    'figures' => [
                        new Quantity(
                            $tall,
                            'mm',
                            'underside of the deck less the ground there',
                            ['deck' => Format::length($structure->thick, 1)],
                            decimals: 1,
                        ),
                    ],
                    'after' => ' tall.',
                ];
            }
        }
        foreach ($page->sheet->walls as $wall) {
            if ($wall->run === $run->uid) {
                $from = ['from' => Format::length($wall->from), 'to' => Format::length($wall->to)];
                $out[] = [
                    'before' => ($wall->cause === 'placed' ? 'Wall' : 'Wall needed').
                        ", {$wall->side->value}, ".
                        Format::cell($wall->from).
                        '–'.
                        Format::cell($wall->to).
                        ':',
                    'figures' => [
                        new Quantity($wall->lowest, 'mm', 'least step of the land along it', $from, decimals: 1),
                        new Quantity($wall->highest, 'mm', 'greatest step of the land along it', $from, decimals: 1),
                    ],
                    'after' => ' high.',
                ];
            }
        }
        foreach ($page->runs as $other) {
            foreach ($other->uid === $run->uid ? [] : Crossing::between($run, $other) as $crossing) {
                $over = -$crossing->over();
                $out[] = [
                    'before' => "Crosses {$other->name} at ".Format::cell($crossing->station).',',
                    'after' => '.',
                    'figures' => [
                        new Quantity($crossing->angleDeg, '°', 'between the centrelines', decimals: 0),
                        new Quantity(
                            $over,
                            'mm',
                            'top of this one over the top of the other',
                            ['its station' => Format::length($crossing->otherStation)],
                            decimals: 1,
                        ),
                    ],
                ];
            }
        }

        return $out;
    }
}
