<?php

declare(strict_types=1);

namespace Tests\Stress;

use PDO;

/** What has to be true of the data after whatever was done to it. */
final class Ground
{
    /**
     * @param  list<array{seen: int, step: int, uid: string, adds: bool}>  $saved what clients were told
     * @return array{lost: int, half: int, corrupt: int, overwritten: int}
     */
    public static function faults(PDO $data, array $saved): array
    {
        $faults = ['lost' => 0, 'half' => 0, 'corrupt' => 0, 'overwritten' => 0];
        $faults['corrupt'] += $data->query('pragma integrity_check')->fetchColumn() === 'ok' ? 0 : 1;
        $faults['corrupt'] += count($data->query('pragma foreign_key_check')->fetchAll());
        $touched = [];
        $last = [];
        foreach ($data->query('select id, changes from revisions order by id') as $revision) {
            foreach (json_decode($revision['changes'], true, flags: JSON_THROW_ON_ERROR) as $change) {
                $touched[$revision['id']][$change['uid']] = true;
                // What a step left is what the next one found: else somebody wrote over somebody.
                if (isset($last[$change['uid']]) && ! self::same($last[$change['uid']][1], $change['before'])) {
                    $faults['overwritten']++;
                }
                $last[$change['uid']] = [$change['table'], $change['after']];
            }
        }
        foreach ($last as $uid => [$table, $after]) {
            $stands = $data->query("select * from {$table} where uid = ".$data->quote((string) $uid))->fetch() ?: null;
            $faults['half'] += self::same($stands === null ? null : array_diff_key($stands, ['id' => 0]), $after) ? 0 : 1;
        }
        foreach ($saved as $one) {
            $faults['lost'] += isset($touched[$one['step']][$one['uid']]) ? 0 : 1;
            for ($step = $one['seen'] + 1; $step < $one['step'] && ! $one['adds']; $step++) {
                $faults['overwritten'] += isset($touched[$step][$one['uid']]) ? 1 : 0;
            }
        }

        return $faults;
    }

    /** @return array<string, list<array<string, mixed>>> everything that undo brings back, without counts of changes */
    public static function state(PDO $data): array
    {
        $out = [];
        foreach (['layouts', 'sections', 'runs', 'land_features', 'zones', 'coats', 'applications', 'rooms', 'bench_sessions'] as $table) {
            $out[$table] = array_map(
                fn (array $row): array => array_diff_key($row, ['id' => 0, 'rev' => 0]),
                $data->query("select * from {$table} order by uid")->fetchAll(),
            );
        }

        return $out;
    }

    /**
     * @param  array<string, mixed>|null  $a
     * @param  array<string, mixed>|null  $b
     */
    private static function same(?array $a, ?array $b): bool
    {
        if ($a === null || $b === null) {
            return $a === $b;
        }
        foreach ($a as $key => $value) {
            $near =
                is_numeric($value) && is_numeric($b[$key] ?? null)
                    ? abs($value - $b[$key]) <= 1e-9 * max(1.0, abs($value))
                    : $value == ($b[$key] ?? null);
            if (! $near) {
                return false;
            }
        }

        return true;
    }
}
