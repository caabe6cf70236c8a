<?php

use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Interchange\OldCoats;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;

return new class extends Migration
{
    /** Coats come into the order in which they are laid, glue into its coat: a step of each layout's history, that can be undone. */
    public function up(): void
    {
        foreach (DB::table('layouts')->pluck('id') as $layout) {
            $rows = DB::table('coats')
                ->where('layout_id', $layout)
                ->orderBy('position')
                ->orderBy('id')
                ->get()
                ->keyBy('uid')
                ->all();
            $changes = $this->changes($rows, $this->brought((int) $layout, $rows));
            foreach ($changes as $change) {
                $row = DB::table('coats')->where('layout_id', $layout)->where('uid', $change['uid']);
                $change['after'] === null ? $row->delete() : $row->update($change['after']);
            }
            if ($changes !== []) {
                DB::table('revisions')->insert([
                    'uid' => (string) Str::ulid(),
                    'layout_id' => $layout,
                    'kind' => 'edit',
                    'sentence' => 'Coats put into the order in which they are laid',
                    'changes' => json_encode($changes, JSON_THROW_ON_ERROR),
                    'made_at' => app(ClockInterface::class)->now()->format('Y-m-d H:i:s'),
                ]);
            }
        }
    }

    public function down(): void
    {
    }

    /**
     * @param  array<string, stdClass>  $rows
     * @return array<int, array<string, mixed>>
     */
    private function brought(int $layout, array $rows): array
    {
        $library = app(Library::class);
        $data = fn (string $table): array => array_map(
            fn (string $json): array => (array) json_decode($json, true),
            DB::table($table)->where('layout_id', $layout)->pluck('data')->all(),
        );
        $own = [];
        foreach ($data('recipes') as $one) {
            $own[$one['recipe']['id'] ?? ''] = Stage::named($one['recipe']['stage'] ?? '')?->value;
        }

        return OldCoats::brought(
            array_values(array_map(fn (stdClass $row): array => ['uid' => $row->uid] + (array) json_decode($row->data, true), $rows)),
            array_column($data('applications'), 'coat'),
            fn (string $id): int => $own[$id] ?? $library->stageOf($id) ?? 0,
        );
    }

    /**
     * @param  array<string, stdClass>  $rows
     * @param  array<int, array<string, mixed>>  $coats by the place of the row that they take
     * @return list<array{table: string, uid: string, before: array<string, mixed>, after: array<string, mixed>|null}>
     */
    private function changes(array $rows, array $coats): array
    {
        $changes = [];
        $positions = array_map(fn (stdClass $row): int => $row->position, array_values($rows));
        foreach ($coats as $k => $coat) {
            $row = $rows[$coat['uid']];
            $place = $positions[$k];
            $data = array_diff_key($coat, ['uid' => true]);
            $same = $data == (array) json_decode($row->data, true);
            $before = array_diff_key((array) $row, ['id' => true]);
            $json = $same ? $row->data : json_encode($data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
            $after = ['position' => $place, 'data' => $json] + $before;
            if ($after != $before) {
                $changes[] = ['table' => 'coats', 'uid' => $row->uid, 'before' => $before, 'after' => ['rev' => $row->rev + 1] + $after];
            }
            unset($rows[$coat['uid']]);
        }
        foreach ($rows as $row) {
            $before = array_diff_key((array) $row, ['id' => true]);
            $changes[] = ['table' => 'coats', 'uid' => $row->uid, 'before' => $before, 'after' => null];
        }

        return $changes;
    }
};
