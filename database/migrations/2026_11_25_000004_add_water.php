<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('land_features', function (Blueprint $table): void {
            $table->double('depth_mm')->nullable();
            $table->double('shore_mm')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('land_features', fn (Blueprint $table) => $table->dropColumn(['depth_mm', 'shore_mm']));
    }
};
