<?php

declare(strict_types=1);

namespace Tests\Bench;

/** A club's layout: one layout's file with its boards, and all that is on them, several times over. */
final class ClubLayout
{
    /** What lies on boards, by whether its places are those of the layout. */
    private const ON_BOARDS = [
        'sections' => true, 'runs' => true, 'features' => true, 'zones' => true, 'coats' => false, 'laid' => false, 'hidden' => false,
        'checks' => false, 'journal' => false, 'stands' => true, 'rows' => false, 'waters' => false, 'mirrors' => true, 'stalls' => false,
    ];

    /** Far enough apart that the boards of two copies do not touch, mm. */
    private const APART_MM = 2500.0;

    /** Characters of a uid that number it; those before stay. */
    private const NUMBERED = 2;

    public static function of(string $json, int $times): string
    {
        $file = json_decode($json, flags: JSON_THROW_ON_ERROR);
        $uids = [];
        foreach (array_keys(self::ON_BOARDS) as $kind) {
            array_push($uids, ...array_column($file->{$kind}, 'uid'));
        }
        $club = clone $file;
        $club->layout->name = 'Club layout';
        [$club->photos, $club->trials] = [[], []];
        for ($n = 1; $n < $times; $n++) {
            // A uid of a copy is the first one's, but for its second and third characters.
            $map = [];
            foreach ($uids as $uid) {
                $map[$uid] = $uid[0].sprintf('%0'.self::NUMBERED.'d', $n).substr($uid, 1 + self::NUMBERED);
            }
            foreach (self::ON_BOARDS as $kind => $ofLayout) {
                foreach ($file->{$kind} as $record) {
                    $copy = json_decode(strtr(json_encode($record, JSON_THROW_ON_ERROR), $map), flags: JSON_THROW_ON_ERROR);
                    if (isset($copy->name)) {
                        $copy->name .= ' '.($n + 1);
                    }
                    if ($ofLayout) {
                        self::move($copy, $n * self::APART_MM);
                    }
                    $club->{$kind}[] = $copy;
                }
            }
        }

        return json_encode($club, JSON_THROW_ON_ERROR);
    }

    /** Puts all places of a record so much further back. */
    private static function move(object $record, float $by): void
    {
        foreach (get_object_vars($record) as $key => $value) {
            foreach (is_array($value) ? $value : [$value] as $part) {
                if (is_object($part)) {
                    self::move($part, $by);
                }
            }
            if ($key === 'y_mm') {
                $record->y_mm += $by;
            } elseif (in_array($key, ['outline', 'trees'], true)) {
                $record->{$key} = array_map(fn (array $point): array => array_replace($point, [1 => $point[1] + $by]), $value);
            }
        }
    }
}
