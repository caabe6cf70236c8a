<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('layouts', fn (Blueprint $table) => $table->json('bench')->nullable());
        Schema::create('air_readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('layout_id')->constrained()->cascadeOnDelete();
            $table->ulid('room');
            $table->unsignedInteger('at');
            $table->double('temperature');
            $table->double('humidity');
            $table->unique(['layout_id', 'room', 'at']);
        });
        Schema::create('prices', function (Blueprint $table): void {
            $table->id();
            $table->ulid('uid');
            $table->foreignId('layout_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('rev')->default(1);
            $table->unsignedInteger('position')->default(0);
            $table->json('data');
            $table->unique(['layout_id', 'uid']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('prices');
        Schema::dropIfExists('air_readings');
        Schema::table('layouts', fn (Blueprint $table) => $table->dropColumn('bench'));
    }
};
