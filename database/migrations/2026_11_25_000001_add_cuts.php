<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('layouts', function (Blueprint $table): void {
            $table->json('cuts')->default('{"school":"carved","sheet_mm":20,"skin_mm":3,"sheet_width_mm":1250,"sheet_depth_mm":600}');
        });
    }

    public function down(): void
    {
        Schema::table('layouts', fn (Blueprint $table) => $table->dropColumn('cuts'));
    }
};
