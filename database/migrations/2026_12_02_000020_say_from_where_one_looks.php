<?php

use IdleRidge\Core\Project\Viewing;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How far off the boards people stand, and how high their eyes are. */
return new class extends Migration
{
    private const COLUMNS = ['eye_distance_mm' => Viewing::DISTANCE_MM, 'eye_height_mm' => Viewing::HEIGHT_MM];

    public function up(): void
    {
        foreach (self::COLUMNS as $column => $starting) {
            Schema::table('layouts', fn (Blueprint $table) => $table->float($column)->default($starting));
        }
    }

    public function down(): void
    {
        Schema::table('layouts', fn (Blueprint $table) => $table->dropColumn(array_keys(self::COLUMNS)));
    }
};
