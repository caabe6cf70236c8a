<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use DOMDocument;
use IdleRidge\Core\Measure\InvalidValue;

/** XML that goes out escaped, and that came from outside: no entities, nothing fetched. */
final class XmlText
{
    public static function escape(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }

    /** @throws InvalidValue naming the line */
    public static function document(string $text, string $what): DOMDocument
    {
        if (preg_match('/<!(DOCTYPE|ENTITY)[^>]*\[/i', $text) === 1) {
            throw new InvalidValue('A file that declares entities of its own is not read.', 'line 1');
        }
        $before = libxml_use_internal_errors(true);
        $document = new DOMDocument();
        $read = $text !== '' && $document->loadXML($text, LIBXML_NONET | LIBXML_COMPACT);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        if (! $read) {
            throw new InvalidValue(
                "This is no {$what}: ".($error === false ? 'it is empty' : rtrim(trim($error->message), '.')).'.',
                'line '.($error === false ? 1 : max(1, $error->line)),
            );
        }

        return $document;
    }
}
