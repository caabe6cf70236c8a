<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What no two hands at once may bring about is held by the data itself. */
return new class extends Migration
{
    private const KEPT = [
        'zones',
        'coats',
        'applications',
        'rooms',
        'bench_sessions',
        'journal_entries',
        'colours',
        'recipes',
        'prices',
        'lots',
        'movements',
    ];

    private const INDEXES = [
        'sections_called' => 'sections (layout_id, lower(name))',
        'zones_called' => "zones (layout_id, json_extract(data, '$.section'), lower(json_extract(data, '$.name')))",
        'one_being_laid' => "applications (layout_id) where json_extract(data, '$.ended_at') is null",
        'recipes_known' => "recipes (layout_id, json_extract(data, '$.recipe.id'))",
        'prices_of' => "prices (layout_id, json_extract(data, '$.material'))",
    ];

    public function up(): void
    {
        $this->part();
        foreach (self::INDEXES as $name => $on) {
            DB::statement("create unique index {$name} on {$on}");
        }
        foreach (self::KEPT as $table) {
            foreach (['insert' => 'before insert', 'update' => 'before update of data'] as $when => $event) {
                DB::statement(
                    "create trigger {$table}_{$when}_json {$event} on {$table} when not json_valid(new.data) or "
                        ."json_type(new.data) is not 'object' begin select raise(abort, 'data of {$table} is no JSON object'); end",
                );
            }
        }
    }

    /** Rows of before that two hands at once left double are kept, and told apart. */
    private function part(): void
    {
        foreach (
            DB::table('sections')
                ->orderBy('id')
                ->get(['id', 'layout_id', 'name']) as $row
        ) {
            $same = DB::table('sections')
                ->where('layout_id', $row->layout_id)
                ->where('id', '<', $row->id)
                ->whereRaw('lower(name) = lower(?)', [$row->name])
                ->count();
            if ($same > 0) {
                DB::table('sections')
                    ->where('id', $row->id)
                    ->update(['name' => "{$row->name} ({$row->id})"]);
            }
        }
        $names = [];
        foreach (DB::table('zones')->orderBy('id')->get() as $row) {
            $zone = (array) json_decode($row->data, true);
            $key = $row->layout_id.'/'.($zone['section'] ?? '').'/'.strtolower($zone['name'] ?? '');
            if (isset($names[$key])) {
                DB::table('zones')
                    ->where('id', $row->id)
                    ->update(['data' => json_encode(['name' => "{$zone['name']} ({$row->id})"] + $zone, JSON_UNESCAPED_UNICODE)]);
            }
            $names[$key] = true;
        }
        $begun = [];
        foreach (DB::table('applications')->orderByDesc('id')->get() as $row) {
            $laid = (array) json_decode($row->data, true);
            if (! isset($laid['ended_at'])) {
                if (isset($begun[$row->layout_id])) {
                    DB::table('applications')
                        ->where('id', $row->id)
                        ->update([
                            'data' => json_encode(
                                $laid + ['ended_at' => $laid['started_at'] ?? gmdate('Y-m-d\TH:i\Z')],
                                JSON_UNESCAPED_UNICODE,
                            ),
                        ]);
                }
                $begun[$row->layout_id] = true;
            }
        }
        foreach (['recipes' => '$.recipe.id', 'prices' => '$.material'] as $table => $path) {
            DB::table($table)
                ->whereRaw("id not in (select max(id) from {$table} group by layout_id, json_extract(data, '{$path}'))")
                ->delete();
        }
    }

    public function down(): void
    {
        foreach (self::KEPT as $table) {
            DB::statement("drop trigger {$table}_insert_json");
            DB::statement("drop trigger {$table}_update_json");
        }
        foreach (array_keys(self::INDEXES) as $name) {
            Schema::getConnection()->statement("drop index {$name}");
        }
    }
};
