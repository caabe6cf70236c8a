<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const TABLES = ['zones', 'coats', 'applications', 'rooms', 'bench_sessions', 'journal_entries'];

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
        Schema::table('sections', fn (Blueprint $table) => $table->ulid('room')->nullable());
        Schema::table('layouts', fn (Blueprint $table) => $table->string('show_on')->nullable());
    }

    public function down(): void
    {
        Schema::table('layouts', fn (Blueprint $table) => $table->dropColumn('show_on'));
        Schema::table('sections', fn (Blueprint $table) => $table->dropColumn('room'));
        foreach (array_reverse(self::TABLES) as $name) {
            Schema::dropIfExists($name);
        }
    }
};
