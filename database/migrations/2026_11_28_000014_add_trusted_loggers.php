<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** Addresses of loggers that the builder gave or agreed to; one that only came with a file is not called. */
    public function up(): void
    {
        Schema::create('trusted_loggers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('layout_id')->constrained()->cascadeOnDelete();
            $table->ulid('room');
            $table->string('address');
            $table->unique(['layout_id', 'room', 'address']);
        });
        foreach (DB::table('rooms')->get(['layout_id', 'uid', 'data']) as $row) {
            $address = json_decode($row->data, true)['logger'] ?? '';
            if (is_string($address) && $address !== '') {
                DB::table('trusted_loggers')->insert(['layout_id' => $row->layout_id, 'room' => $row->uid, 'address' => $address]);
            }
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('trusted_loggers');
    }
};
