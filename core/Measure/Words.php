<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** Words as people type them. */
final class Words
{
    /** Controls but ends of lines and tabs, marks that turn the direction of writing, and what is no character at all. */
    private const UNTYPED = '/[^\P{Cc}\n\r\t]|[\x{202A}-\x{202E}\x{2066}-\x{2069}\x{FFFE}\x{FFFF}]/u';

    /** The same without what nobody types; it stands well-formed in any file then. */
    public static function plain(string $text): string
    {
        // Most words are letters, and looked through quickly.
        return preg_match('/^[\x20-\x7E\n\r\t]*$/D', $text) === 1
            ? $text
            : (string) preg_replace(self::UNTYPED, '', mb_scrub($text, 'UTF-8'));
    }
}
