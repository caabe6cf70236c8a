<?php

declare(strict_types=1);

namespace App\Actions\Files;

use App\Models\Layout;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A layout's rows as they lie in the data, whether or not they make a whole: what is left when it can be read no other way. */
final class ExportRows
{
    /** What is no text: pictures go with the layout's archive. */
    private const NOT_WORDS = ['pictures'];

    /** @return string JSON, table → rows */
    public static function of(Layout $layout): string
    {
        return DB::transaction(function (Connection $data) use ($layout): string {
            $out = ['layouts' => $data->table('layouts')->where('id', $layout->id)->get()->all()];
            foreach (array_diff(Schema::getTableListing(schemaQualified: false), self::NOT_WORDS) as $table) {
                if (Schema::hasColumn($table, 'layout_id')) {
                    $out[$table] = $data->table($table)->where('layout_id', $layout->id)->get()->all();
                }
            }

            return json_encode(
                $out,
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR,
            );
        });
    }
}
