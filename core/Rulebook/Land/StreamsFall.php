<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Land\Stream;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;

/** A stream that would have to climb, or that a bank dams. */
final class StreamsFall implements LandRule
{
    /** Water so far under the ground has cut a gorge to get by, mm. */
    public const GORGE_DEPTH_MM = 12.0;

    /** Land so far over the water is in its way, mm. */
    private const DAM_HEIGHT_MM = 1.0;

    public function ids(): array
    {
        return ['stream-climbs', 'stream-dammed'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->model->ground->streams as $stream) {
            array_push($found, ...$this->of($study, $stream));
        }

        return $found;
    }

    /** @return list<Finding> */
    private function of(LandStudy $study, Stream $stream): array
    {
        $deepest = $dammed = 0.0;
        $gorge = $dam = null;
        foreach ($stream->line as $k => [$x, $y]) {
            if ($x < 0.0 || $y < 0.0 || $x > $study->section->width || $y > $study->section->depth) {
                continue;
            }
            if ($stream->cuts[$k] > $deepest) {
                [$deepest, $gorge] = [$stream->cuts[$k], [$x, $y]];
            }
            $over = $study->model->heightAt($x, $y) - $stream->levels[$k];
            if ($over > $dammed) {
                [$dammed, $dam] = [$over, [$x, $y]];
            }
        }
        $name = $stream->name === '' ? 'The stream' : $stream->name;
        $found = [];
        if ($gorge !== null && $deepest > self::GORGE_DEPTH_MM) {
            $found[] = new Finding(
                'stream-climbs',
                Severity::Care,
                "{$name} would have to climb",
                $study->section->uid,
                Place::at($gorge[0], $gorge[1]),
                [
                    'gorge' => new Quantity(
                        $deepest,
                        'mm',
                        'ground along its line less its water, which never rises',
                        ['may be' => Format::length(self::GORGE_DEPTH_MM)],
                        decimals: 1,
                    ),
                ],
                'Its line crosses higher ground than it came from, so it cuts a gorge.',
                'Draw it along the valley, or lower the ground on its way.',
            );
        }
        if ($dam !== null && $dammed > self::DAM_HEIGHT_MM) {
            $found[] = new Finding(
                'stream-dammed',
                Severity::Stop,
                "{$name} is dammed",
                $study->section->uid,
                Place::at($dam[0], $dam[1]),
                ['over' => new Quantity($dammed, 'mm', 'land over the water at its greatest', decimals: 1)],
                'A bank lies across it.',
                'Take the track over it on a bridge, or lead the stream round.',
            );
        }

        return $found;
    }
}
