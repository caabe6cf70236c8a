<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use DOMDocument;
use DOMElement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Arc;
use IdleRidge\Core\Track\Clothoid;
use IdleRidge\Core\Track\GradeProfile;
use IdleRidge\Core\Track\Run;

/**
 * Track as alignments of LandXML 1.2: lines, curves and spirals in plan, points of vertical intersection in height. Places
 * are written northing first, as the format has it; lengths in metres, unless the file says otherwise.
 */
final class TrackXml
{
    private const UNITS = [
        'millimeter' => 1.0,
        'centimeter' => 10.0,
        'meter' => 1000.0,
        'kilometer' => 1e6,
        'foot' => 304.8,
        'USSurveyFoot' => 304.8006096,
        'inch' => 25.4,
    ];

    /** Curves are told so finely, mm. */
    private const STEP_MM = 10.0;

    /** A curve or spiral is told in so many places at most, however long it is. */
    private const MAX_PARTS = 1000;

    /**
     * @param  float  $by what every length is multiplied by, such as 1/87.1 for data at full size
     * @return list<TrackLine>
     *
     * @throws InvalidValue
     */
    public static function read(string $text, float $by = 1.0): array
    {
        $document = XmlText::document($text, 'LandXML file');
        $scale = 1000.0;
        foreach (['Metric', 'Imperial'] as $system) {
            foreach ($document->getElementsByTagNameNS('*', $system) as $units) {
                $scale = self::UNITS[$units->getAttribute('linearUnit')] ?? $scale;
            }
        }
        $scale *= $by;
        $lines = [];
        foreach ($document->getElementsByTagNameNS('*', 'Alignment') as $k => $alignment) {
            $points = [];
            foreach (self::children($alignment, 'CoordGeom') as $geometry) {
                foreach ($geometry->childNodes as $piece) {
                    if ($piece instanceof DOMElement) {
                        array_push($points, ...self::piece($piece, $scale, $points));
                        if (count($points) > TrackLine::MAX_POINTS) {
                            throw new InvalidValue(
                                sprintf('It goes through more than %d points.', TrackLine::MAX_POINTS),
                                'line '.$piece->getLineNo(),
                            );
                        }
                    }
                }
            }
            if (count($points) > 1) {
                $lines[] = new TrackLine(
                    $alignment->getAttribute('name') ?: 'Alignment '.($k + 1),
                    $points,
                    self::heights($alignment, $points, $scale),
                );
            }
        }

        return TrackLine::some($lines, 'alignment');
    }

    /** @param  list<Run>  $runs */
    public static function write(array $runs, string $name): string
    {
        $xml = new DOMDocument('1.0', 'UTF-8');
        $xml->formatOutput = true;
        $add = function (DOMElement $to, string $tag, array $with = [], string $text = '') use ($xml): DOMElement {
            $node = $xml->createElementNS('http://www.landxml.org/schema/LandXML-1.2', $tag);
            foreach ($with as $key => $value) {
                $node->setAttribute($key, is_float($value) ? self::say($value) : $value);
            }
            if ($text !== '') {
                $node->appendChild($xml->createTextNode($text));
            }
            $to->appendChild($node);

            return $node;
        };
        $root = $xml->createElementNS('http://www.landxml.org/schema/LandXML-1.2', 'LandXML');
        $root->setAttribute('version', '1.2');
        $xml->appendChild($root);
        $add($add($root, 'Units'), 'Metric', [
            'linearUnit' => 'millimeter',
            'areaUnit' => 'squareMeter',
            'volumeUnit' => 'cubicMeter',
            'temperatureUnit' => 'celsius',
            'pressureUnit' => 'milliBars',
            'angularUnit' => 'decimal degrees',
            'directionUnit' => 'decimal degrees',
        ]);
        $all = $add($root, 'Alignments', ['name' => $name]);
        foreach ($runs as $run) {
            $alignment = $add($all, 'Alignment', ['name' => $run->name, 'length' => $run->alignment->length, 'staStart' => '0']);
            $geometry = $add($alignment, 'CoordGeom');
            foreach ($run->alignment->elements as $element) {
                $end = $element->pointAt($element->length);
                if ($element instanceof Arc) {
                    $piece = $add($geometry, 'Curve', [
                        'rot' => $element->turn > 0 ? 'ccw' : 'cw',
                        'radius' => $element->radius,
                        'length' => $element->length,
                    ]);
                    $centre = $element->start->toward($element->heading + ($element->turn * M_PI) / 2.0, $element->radius);
                    $inner = ['Start' => $element->start, 'Center' => $centre, 'End' => $end];
                } elseif ($element instanceof Clothoid) {
                    $radius = fn (float $curvature): string => abs($curvature) < 1e-12 ? 'INF' : self::say(abs(1.0 / $curvature));
                    $piece = $add($geometry, 'Spiral', [
                        'length' => $element->length,
                        'radiusStart' => $radius($element->from),
                        'radiusEnd' => $radius($element->to),
                        'rot' => $element->from + $element->to > 0.0 ? 'ccw' : 'cw',
                        'spiType' => 'clothoid',
                    ]);
                    $inner = ['Start' => $element->start, 'PI' => self::intersection($element), 'End' => $end];
                } else {
                    $piece = $add($geometry, 'Line', ['length' => $element->length]);
                    $inner = ['Start' => $element->start, 'End' => $end];
                }
                foreach ($inner as $tag => $p) {
                    $add($piece, $tag, [], self::say($p->y).' '.self::say($p->x));
                }
            }
            $profile = $add($add($alignment, 'Profile', ['name' => $run->name]), 'ProfAlign', ['name' => $run->name.' formation']);
            foreach ($run->grade->stations as $k => $station) {
                $curve = $run->grade->curves[$k];
                $add(
                    $profile,
                    $curve > 0.0 ? 'ParaCurve' : 'PVI',
                    $curve > 0.0 ? ['length' => $curve] : [],
                    self::say($station).' '.self::say($run->grade->heights[$k]),
                );
            }
        }

        return (string) $xml->saveXML();
    }

    private static function say(float $value): string
    {
        return Decimal::trimmed($value, 6);
    }

    /** Where the tangents at both ends of a transition meet. */
    private static function intersection(Clothoid $c): Point
    {
        $end = $c->pointAt($c->length);
        $turn = $c->headingAt($c->length) - $c->heading;
        $along = ($end->x - $c->start->x) * cos($c->heading) + ($end->y - $c->start->y) * sin($c->heading);
        $aside = ($end->y - $c->start->y) * cos($c->heading) - ($end->x - $c->start->x) * sin($c->heading);

        return $c->start->toward($c->heading, abs(sin($turn)) < 1e-9 ? $along / 2.0 : $along - $aside / tan($turn));
    }

    /** @return list<DOMElement> */
    private static function children(DOMElement $of, string $tag): array
    {
        $out = [];
        foreach ($of->childNodes as $node) {
            if ($node instanceof DOMElement && $node->localName === $tag) {
                $out[] = $node;
            }
        }

        return $out;
    }

    /** @return array{float, float}|null x, y in mm */
    private static function place(DOMElement $piece, string $tag, float $scale): ?array
    {
        $node = self::children($piece, $tag)[0] ?? null;
        if ($node === null) {
            return null;
        }
        $words = preg_split('/\s+/', trim($node->textContent)) ?: [];
        if (count($words) < 2 || ! is_numeric($words[0]) || ! is_numeric($words[1])) {
            throw new InvalidValue("A {$tag} is a northing and an easting.", 'line '.$node->getLineNo());
        }

        $place = [(float) $words[1] * $scale, (float) $words[0] * $scale];
        if (! (max(array_map(abs(...), $place)) < TrackLine::MAX_COORDINATE_MM)) {
            throw new InvalidValue("The {$tag} lies beyond every map.", 'line '.$node->getLineNo());
        }

        return $place;
    }

    /**
     * @param  list<array{float, float}>  $before points of the pieces before
     * @return list<array{float, float}> points on, without the first where it stands already
     */
    private static function piece(DOMElement $piece, float $scale, array $before): array
    {
        $start = self::place($piece, 'Start', $scale) ?? ($before === [] ? null : $before[count($before) - 1]);
        $end = self::place($piece, 'End', $scale);
        if ($start === null || $end === null) {
            throw new InvalidValue("A {$piece->localName} needs a Start and an End.", 'line '.$piece->getLineNo());
        }
        $left = $piece->getAttribute('rot') === 'ccw' ? 1.0 : -1.0;
        $centre = $piece->localName === 'Curve' ? self::place($piece, 'Center', $scale) : null;
        $out = $before === [] ? [$start] : [];
        if ($centre !== null) {
            $radius = hypot($start[0] - $centre[0], $start[1] - $centre[1]);
            $from = atan2($start[1] - $centre[1], $start[0] - $centre[0]);
            $turn = $left * fmod($left * (atan2($end[1] - $centre[1], $end[0] - $centre[0]) - $from) + 6.0 * M_PI, 2.0 * M_PI);
            $parts = max(1, (int) min(self::MAX_PARTS, ceil((abs($turn) * $radius) / self::STEP_MM)));
            for ($k = 1; $k < $parts; $k++) {
                $out[] = [
                    $centre[0] + $radius * cos($from + ($turn * $k) / $parts),
                    $centre[1] + $radius * sin($from + ($turn * $k) / $parts),
                ];
            }
        } elseif ($piece->localName === 'Spiral' && ($middle = self::place($piece, 'PI', $scale)) !== null) {
            $curvature = fn (string $end): float => is_numeric($piece->getAttribute($end)) && (float) $piece->getAttribute($end) > 0.0
                ? $left / ((float) $piece->getAttribute($end) * $scale)
                : 0.0;
            $length = (float) $piece->getAttribute('length') * $scale;
            if (! ($length > 0.0 && $length < TrackLine::MAX_COORDINATE_MM)) {
                throw new InvalidValue('A Spiral needs its length.', 'line '.$piece->getLineNo());
            }
            $spiral = new Clothoid(
                new Point(...$start),
                atan2($middle[1] - $start[1], $middle[0] - $start[0]),
                $length,
                $curvature('radiusStart'),
                $curvature('radiusEnd'),
            );
            $step = max(self::STEP_MM, $length / self::MAX_PARTS);
            for ($k = 1; $k * $step < $length; $k++) {
                $p = $spiral->pointAt($k * $step);
                $out[] = [$p->x, $p->y];
            }
        }

        if ($piece->localName === 'Line') {
            return [...$out, ...array_column(TrackLine::straight($start, $end), 1)];
        }

        return [...$out, $end];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<float>|null
     */
    private static function heights(DOMElement $alignment, array $points, float $scale): ?array
    {
        $start = (float) $alignment->getAttribute('staStart') * $scale;
        $grades = [];
        foreach (self::children($alignment, 'Profile') as $profile) {
            foreach (self::children($profile, 'ProfAlign') as $line) {
                foreach ($line->childNodes as $node) {
                    if ($node instanceof DOMElement && in_array($node->localName, ['PVI', 'ParaCurve'], true)) {
                        $words = preg_split('/\s+/', trim($node->textContent)) ?: [];
                        if (count($words) < 2 || ! is_numeric($words[0]) || ! is_numeric($words[1])) {
                            throw new InvalidValue("A {$node->localName} is a station and a height.", 'line '.$node->getLineNo());
                        }
                        $grades[] = [
                            (float) $words[0] * $scale - $start,
                            (float) $words[1] * $scale,
                            (float) $node->getAttribute('length') * $scale,
                        ];
                    }
                }
            }
        }
        if ($grades === []) {
            return null;
        }
        $length = max(1.0, $grades[count($grades) - 1][0]);
        $profile = GradeProfile::from(
            $grades[0][1],
            array_map(
                fn (array $g): array => ['station_mm' => $g[0], 'height_mm' => $g[1], 'curve_mm' => $g[2]],
                array_values(array_filter($grades, fn (array $g): bool => $g[0] > 0.5)),
            ),
            $length,
        );
        $out = [];
        $at = 0.0;
        foreach ($points as $k => $p) {
            $at += $k === 0 ? 0.0 : hypot($p[0] - $points[$k - 1][0], $p[1] - $points[$k - 1][1]);
            $out[] = $profile->heightAt(min($length, $at));
        }

        return $out;
    }
}
