<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('layouts', fn (Blueprint $table) => $table->double('north_deg')->default(90));
    }

    public function down(): void
    {
        Schema::table('layouts', fn (Blueprint $table) => $table->dropColumn('north_deg'));
    }
};
