<?php

declare(strict_types=1);

namespace App\Http;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** A file that came with a form: its name and what is in it, or why it did not come. */
final readonly class UploadedText
{
    private function __construct(public string $name, public string $text)
    {
    }

    /**
     * @param  string  $ask what to say when none was chosen
     *
     * @throws InvalidValue beside the field
     */
    public static function of(Request $request, string $field, string $ask): self
    {
        $file = self::came($request, $field, $ask);

        return new self(mb_substr(Words::plain($file->getClientOriginalName()), 0, 120), (string) $file->getContent());
    }

    /**
     * Where the bytes of a file lie that is too large to be read at once.
     *
     * @throws InvalidValue as above
     */
    public static function path(Request $request, string $field, string $ask): string
    {
        return self::came($request, $field, $ask)->getPathname();
    }

    private static function came(Request $request, string $field, string $ask): UploadedFile
    {
        $file = $request->file($field);
        if (! ($file instanceof UploadedFile)) {
            throw new InvalidValue($ask, $field);
        }
        $why = match ($file->getError()) {
            UPLOAD_ERR_OK => null,
            UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE => 'The file is larger than this machine takes at once ('.
                ini_get('upload_max_filesize').
                ').',
            UPLOAD_ERR_NO_FILE => $ask,
            UPLOAD_ERR_PARTIAL => 'Only a part of the file came through; send it again.',
            UPLOAD_ERR_CANT_WRITE, UPLOAD_ERR_NO_TMP_DIR => 'This machine has no room for the file: its disk is full or cannot be written.',
            default => 'The file did not come through; send it again.',
        };
        if ($why !== null) {
            throw new InvalidValue($why, $field);
        }

        return $file;
    }
}
