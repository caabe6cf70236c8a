<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('devices', function (Blueprint $table): void {
            $table->id();
            $table->ulid('uid')->unique();
            $table->string('name');
            $table->string('secret_hash');
            $table->string('role');
            $table->timestamp('paired_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('devices');
    }
};
