<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const TABLES = ['colours'];

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
    }

    public function down(): void
    {
        foreach (array_reverse(self::TABLES) as $name) {
            Schema::dropIfExists($name);
        }
    }
};
