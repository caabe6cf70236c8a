<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** What rows of before take for the columns that come new. */
    private const NEW = [
        'runs' => ['kind' => 'track'],
        'sections' => ['edges' => '{}'],
        'layouts' => ['felt_grade' => 1],
        'land_features' => ['figures' => '{}'],
    ];

    public function up(): void
    {
        Schema::table('runs', fn (Blueprint $table) => $table->string('kind')->default('track'));
        Schema::table('sections', fn (Blueprint $table) => $table->json('edges')->default('{}'));
        Schema::table('layouts', function (Blueprint $table): void {
            $table->json('vehicles')->default('[]');
            $table->boolean('felt_grade')->default(true);
        });
        Schema::table('land_features', fn (Blueprint $table) => $table->json('figures')->default('{}'));
        foreach (DB::table('layouts')->get(['id', 'vehicle']) as $row) {
            DB::table('layouts')
                ->where('id', $row->id)
                ->update(['vehicles' => json_encode([['name' => 'coach'] + (array) json_decode($row->vehicle, true)])]);
        }
        foreach (
            DB::table('land_features')
                ->where('kind', 'water')
                ->get(['id', 'depth_mm', 'shore_mm']) as $row
        ) {
            DB::table('land_features')
                ->where('id', $row->id)
                ->update(['figures' => json_encode(['depth_mm' => $row->depth_mm ?? 12.0, 'shore_mm' => $row->shore_mm ?? 40.0])]);
        }
        $this->revisions();
        Schema::table('layouts', fn (Blueprint $table) => $table->dropColumn('vehicle'));
        Schema::table('land_features', fn (Blueprint $table) => $table->dropColumn(['depth_mm', 'shore_mm']));
    }

    /** Rows that undo may bring back take the new form too. */
    private function revisions(): void
    {
        foreach (DB::table('revisions')->get(['id', 'changes']) as $revision) {
            $rows = (array) json_decode($revision->changes, true);
            foreach ($rows as &$row) {
                foreach (['before', 'after'] as $side) {
                    if (isset($row[$side]['vehicle'])) {
                        $row[$side]['vehicles'] = json_encode([['name' => 'coach'] + (array) json_decode($row[$side]['vehicle'], true)]);
                    }
                    if (($row[$side]['kind'] ?? null) === 'water' && isset($row[$side]['depth_mm'])) {
                        $row[$side]['figures'] = json_encode([
                            'depth_mm' => $row[$side]['depth_mm'],
                            'shore_mm' => $row[$side]['shore_mm'],
                        ]);
                    }
                    if (isset($row[$side])) {
                        $row[$side] += self::NEW[$row['table']] ?? [];
                        $row[$side] = array_diff_key(
                            $row[$side],
                            ['vehicle' => true] + ($row['table'] === 'land_features' ? ['depth_mm' => true, 'shore_mm' => true] : []),
                        );
                    }
                }
            }
            DB::table('revisions')
                ->where('id', $revision->id)
                ->update(['changes' => json_encode($rows)]);
        }
    }

    public function down(): void
    {
        Schema::table('layouts', fn (Blueprint $table) => $table->json('vehicle')->default('{}'));
        Schema::table('land_features', function (Blueprint $table): void {
            $table->double('depth_mm')->nullable();
            $table->double('shore_mm')->nullable();
        });
        foreach (DB::table('layouts')->get(['id', 'vehicles']) as $row) {
            DB::table('layouts')
                ->where('id', $row->id)
                ->update(['vehicle' => json_encode(array_diff_key(json_decode($row->vehicles, true)[0], ['name' => true]))]);
        }
        foreach (
            DB::table('land_features')
                ->where('kind', 'water')
                ->get(['id', 'figures']) as $row
        ) {
            DB::table('land_features')->where('id', $row->id)->update((array) json_decode($row->figures, true));
        }
        Schema::table('runs', fn (Blueprint $table) => $table->dropColumn('kind'));
        Schema::table('sections', fn (Blueprint $table) => $table->dropColumn('edges'));
        Schema::table('layouts', fn (Blueprint $table) => $table->dropColumn(['vehicles', 'felt_grade']));
        Schema::table('land_features', fn (Blueprint $table) => $table->dropColumn('figures'));
    }
};
