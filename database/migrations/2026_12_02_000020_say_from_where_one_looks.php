<?php

use IdleRidge\Core\Project\Viewing;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How far off the boards people stand and how high their eyes are, and foam that stands on a board. */
return new class extends Migration
{
    /** What rows of before take for the columns that come new. */
    private const NEW = [
        'layouts' => ['eye_distance_mm' => Viewing::DISTANCE_MM, 'eye_height_mm' => Viewing::HEIGHT_MM],
        'sections' => ['foam_stands' => '[]'],
    ];

    public function up(): void
    {
        Schema::table('layouts', function (Blueprint $table): void {
            foreach (self::NEW['layouts'] as $column => $starting) {
                $table->float($column)->default($starting);
            }
        });
        Schema::table('sections', fn (Blueprint $table) => $table->json('foam_stands')->default('[]'));
        foreach (DB::table('revisions')->get(['id', 'changes']) as $revision) {
            $rows = (array) json_decode($revision->changes, true);
            foreach ($rows as &$row) {
                foreach (['before', 'after'] as $side) {
                    if (isset($row[$side], self::NEW[$row['table']])) {
                        $row[$side] += self::NEW[$row['table']];
                    }
                }
            }
            DB::table('revisions')->where('id', $revision->id)->update(['changes' => json_encode($rows, JSON_PRESERVE_ZERO_FRACTION)]);
        }
    }

    public function down(): void
    {
        foreach (self::NEW as $table => $columns) {
            Schema::table($table, fn (Blueprint $blueprint) => $blueprint->dropColumn(array_keys($columns)));
        }
    }
};
