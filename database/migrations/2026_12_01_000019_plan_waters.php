<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How waters are made, and mirrors. */
return new class extends Migration
{
    private const TABLES = ['waters', 'mirrors'];

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
            foreach (['insert' => 'before insert', 'update' => 'before update of data'] as $when => $event) {
                DB::statement(
                    "create trigger {$name}_{$when}_json {$event} on {$name} when not json_valid(new.data) or "
                        ."json_type(new.data) is not 'object' begin select raise(abort, 'data of {$name} is no JSON object'); end",
                );
            }
        }
    }

    public function down(): void
    {
        foreach (array_reverse(self::TABLES) as $name) {
            Schema::drop($name);
        }
    }
};
