<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Pictures, checks, mishaps, trials and what lies hidden; and the journal is found by its words. */
return new class extends Migration
{
    private const TABLES = ['photos', 'checks', 'stalls', 'trials', 'hidden_things'];

    /** Column of the index → where an entry has those words. */
    private const WORDS = [
        'sentence' => "json_extract(new.data, '$.sentence') || ' ' || json_extract(new.data, '$.kind') || ' ' || "
            ."coalesce(json_extract(new.data, '$.verdict'), '') || ' ' || coalesce(json_extract(new.data, '$.who'), '') || ' ' || "
            ."coalesce(json_extract(new.data, '$.place.vehicle'), '')",
        'zone' => "coalesce(json_extract(new.data, '$.work.zone_name'), '')",
        'coat' => "coalesce(json_extract(new.data, '$.work.title'), '') || ' ' || "
            ."coalesce(json_extract(new.data, '$.work.colour.name'), '')",
        'materials' => "coalesce((select group_concat(json_extract(value, '$.material'), ', ') from json_each(new.data, '$.amounts')), '')",
        'lots' => "coalesce((select group_concat(value, ', ') from json_each(new.data, '$.work.lots')), '') || ' ' || "
            ."coalesce((select group_concat(value, ', ') from json_each(new.data, '$.work.pots')), '')",
    ];

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
        Schema::create('pictures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('layout_id')->constrained()->cascadeOnDelete();
            $table->string('hash', 64);
            $table->string('size', 8);
            $table->binary('bytes');
            $table->unique(['layout_id', 'hash', 'size']);
        });
        DB::statement("create index journal_when on journal_entries (layout_id, json_extract(data, '$.at'), id)");
        DB::statement("create index journal_about on journal_entries (layout_id, json_extract(data, '$.about'))");
        DB::statement("create index photos_of on photos (layout_id, json_extract(data, '$.entry'))");

        $columns = implode(', ', array_keys(self::WORDS));
        $words = implode(', ', self::WORDS);
        DB::statement(
            "create virtual table journal_words using fts5({$columns}, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3')",
        );
        DB::statement(
            "create trigger journal_words_of after insert on journal_entries begin insert into journal_words (rowid, {$columns}) "
                ."values (new.id, {$words}); end",
        );
        DB::statement(
            'create trigger journal_words_gone after delete on journal_entries begin delete from journal_words where rowid = old.id; end',
        );
        $there = str_replace('new.data', 'journal_entries.data', $words);
        DB::statement("insert into journal_words (rowid, {$columns}) select id, {$there} from journal_entries");
    }

    public function down(): void
    {
        DB::statement('drop trigger journal_words_of');
        DB::statement('drop trigger journal_words_gone');
        DB::statement('drop table journal_words');
        foreach (['journal_when', 'journal_about', 'photos_of'] as $index) {
            DB::statement("drop index {$index}");
        }
        Schema::drop('pictures');
        foreach (array_reverse(self::TABLES) as $name) {
            Schema::drop($name);
        }
    }
};
