<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    private const PACK = "json_extract(data, '$.material'), json_extract(data, '$.amount'), coalesce(json_extract(data, '$.supplier'), '')";

    /** A material is sold in packs of several sizes, in several shops. */
    public function up(): void
    {
        DB::statement('drop index prices_of');
        DB::statement('create unique index prices_of on prices (layout_id, '.self::PACK.')');
    }

    public function down(): void
    {
        DB::statement('drop index prices_of');
        DB::statement("create unique index prices_of on prices (layout_id, json_extract(data, '$.material'))");
    }
};
