<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration
{
    private const TABLES = ['lots', 'movements'];

    public function up(): void
    {
        foreach (self::TABLES as $name) {
            Schema::create($name, function (Blueprint $table): void {
                $table->id();
                $table->ulid('uid');
                $table->foreignId('layout_id')->constrained()->cascadeOnDelete();
                $table->unsignedInteger('rev')->default(1);
                $table->unsignedInteger('position')->default(0);
                $table->json('data');
                $table->unique(['layout_id', 'uid']);
            });
        }
        foreach (DB::table('layouts')->get(['id', 'cuts']) as $layout) {
            $this->moveCounts((int) $layout->id, (array) json_decode((string) $layout->cuts, true));
        }
    }

    /**
     * What was counted beside a kind of sheet becomes a lot of its own.
     *
     * @param  array<string, mixed>  $cuts
     */
    private function moveCounts(int $layout, array $cuts): void
    {
        $kinds = [];
        foreach ((array) ($cuts['more'] ?? []) as $k => $kind) {
            if (isset($kind['count'])) {
                $sizes = array_intersect_key($kind, ['sheet_mm' => 1, 'sheet_width_mm' => 1, 'sheet_depth_mm' => 1]);
                [$lot, $moved] = [(string) Str::ulid(), (string) Str::ulid()];
                DB::table('lots')->insert([
                    'uid' => $lot,
                    'layout_id' => $layout,
                    'position' => $k,
                    'data' => json_encode(['kind' => 'sheet'] + $sizes),
                ]);
                if ((int) $kind['count'] > 0) {
                    DB::table('movements')->insert([
                        'uid' => $moved,
                        'layout_id' => $layout,
                        'position' => $k,
                        'data' => json_encode([
                            'lot' => $lot,
                            'by' => (int) $kind['count'],
                            'cause' => 'counted',
                            'at' => gmdate('Y-m-d\\TH:i\\Z'),
                        ]),
                    ]);
                }
            } else {
                $kinds[] = $kind;
            }
        }
        if (count($kinds) !== count((array) ($cuts['more'] ?? []))) {
            DB::table('layouts')
                ->where('id', $layout)
                ->update(['cuts' => json_encode(['more' => $kinds] + $cuts)]);
        }
    }

    public function down(): void
    {
        foreach (array_reverse(self::TABLES) as $name) {
            Schema::dropIfExists($name);
        }
    }
};
