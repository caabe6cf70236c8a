<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('layouts', function (Blueprint $table): void {
            $table->id();
            $table->ulid('uid')->unique();
            $table->unsignedInteger('rev')->default(1);
            $table->string('name');
            $table->double('ratio');
            $table->double('gauge_mm');
            $table->string('units');
            $table->string('zone');
            $table->string('currency');
            $table->json('viewing_edges');
            $table->string('region')->default('');
            $table->string('season')->default('');
            $table->json('vehicle');
            $table->double('clearance_margin_mm');
            $table->double('face_limit_deg');
            $table->double('bank_reach_mm')->nullable();
            $table->double('tension');
            $table->double('stiffness_mm');
            $table->json('typed');
            $table->json('extra');
            $table->json('file_extra');
            $table->timestamp('removed_at')->nullable();
        });

        Schema::create('sections', function (Blueprint $table): void {
            $this->record($table);
            $table->double('width_mm');
            $table->double('depth_mm');
            $table->double('x_mm');
            $table->double('y_mm');
            $table->double('angle_deg');
            $table->double('base_mm');
            $table->json('typed');
        });

        Schema::create('runs', function (Blueprint $table): void {
            $this->record($table);
            $table->double('x_mm');
            $table->double('y_mm');
            $table->double('heading_deg');
            $table->json('elements');
            $table->double('start_height_mm');
            $table->json('grade_points');
            $table->json('profile');
        });

        Schema::create('land_features', function (Blueprint $table): void {
            $this->record($table);
            $table->string('kind');
            $table->json('points');
        });

        Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->ulid('uid')->unique();
            $table->foreignId('layout_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->unsignedBigInteger('target_id')->nullable();
            $table->string('sentence');
            $table->json('changes');
            $table->timestamp('made_at');
            $table->index(['layout_id', 'id']);
        });
    }

    public function down(): void
    {
        foreach (['revisions', 'land_features', 'runs', 'sections', 'layouts'] as $table) {
            Schema::dropIfExists($table);
        }
    }

    /** What every record of a layout has: a uid unique within it, a place in its list, the count of its changes. */
    private function record(Blueprint $table): void
    {
        $table->id();
        $table->ulid('uid');
        $table->foreignId('layout_id')->constrained()->cascadeOnDelete();
        $table->unsignedInteger('rev')->default(1);
        $table->unsignedInteger('position')->default(0);
        $table->string('name')->default('');
        $table->json('extra');
        $table->unique(['layout_id', 'uid']);
    }
};
