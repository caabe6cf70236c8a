<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** What rows of before take for the columns that come new. */
    private const NEW = ['runs_on' => 0, 'stood' => '[]'];

    /** Recipes whose passes each took a full bed's share until now: a pass is as thick as it is told. */
    private const BALLAST = ['stone-ballast', 'nut-shell-ballast', 'cinder-ballast'];

    public function up(): void
    {
        Schema::table('sections', function (Blueprint $table): void {
            $table->boolean('runs_on')->default(false);
            $table->json('stood')->default('[]');
        });
        // Boards that were made while all land ran on keep theirs.
        DB::table('sections')->update(['runs_on' => true]);
        foreach (DB::table('coats')->get(['id', 'data']) as $row) {
            DB::table('coats')->where('id', $row->id)->update(['data' => self::lightened($row->data)]);
        }
        foreach (DB::table('revisions')->get(['id', 'changes']) as $revision) {
            $rows = (array) json_decode($revision->changes, true);
            foreach ($rows as &$row) {
                foreach (['before', 'after'] as $side) {
                    if (isset($row[$side]) && $row['table'] === 'sections') {
                        $row[$side] += ['runs_on' => 1] + self::NEW;
                    }
                    if (isset($row[$side]['data']) && $row['table'] === 'coats') {
                        $row[$side]['data'] = self::lightened($row[$side]['data']);
                    }
                }
            }
            DB::table('revisions')->where('id', $revision->id)->update(['changes' => json_encode($rows)]);
        }
    }

    public function down(): void
    {
        Schema::table('sections', fn (Blueprint $table) => $table->dropColumn(['runs_on', 'stood']));
    }

    private static function lightened(string $data): string
    {
        $coat = (array) json_decode($data, true);
        if (in_array($coat['recipe'] ?? '', self::BALLAST, true) && ($coat['passes'] ?? 1) > 1) {
            $coat['mm'] /= $coat['passes'];
        }

        return json_encode($coat, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
};
