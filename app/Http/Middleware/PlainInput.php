<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\InputBag;
use Symfony\Component\HttpFoundation\Response;

/**
 * What comes with a request is words that can be typed, and all of it: long forms come as one field of JSON, for PHP cuts
 * what has too many fields without a word.
 */
final class PlainInput
{
    /** The one field in which a script sends a long form. */
    private const PACKED = 'packed';

    private const MAX_FIELDS = 20_000;

    private const MAX_DEPTH = 12;

    public function handle(Request $request, Closure $next): Response
    {
        $packed = $request->request->all()[self::PACKED] ?? null;
        if (is_string($packed)) {
            $values = json_decode($packed, true, self::MAX_DEPTH);
            $request->request->remove(self::PACKED);
            $request->request->add(
                is_array($values) ? $values : throw new InvalidValue('The form could not be read; nothing was changed.', 'form'),
            );
        }
        foreach ([$request->query, $request->request] as $bag) {
            $this->clean($bag, $bag === $request->request && ! is_string($packed) ? (int) ini_get('max_input_vars') : self::MAX_FIELDS);
        }

        return $next($request);
    }

    /** @param  InputBag<bool|float|int|string>  $bag */
    private function clean(InputBag $bag, int $most): void
    {
        $values = $bag->all();
        $count = 0;
        array_walk_recursive($values, function (mixed &$value, string|int $key) use (&$count): void {
            $count++;
            if (! is_string($value)) {
                return;
            }
            if (! mb_check_encoding($value, 'UTF-8') || str_contains($value, "\0")) {
                throw new InvalidValue('It holds a character that nobody can type; nothing was changed.', (string) $key);
            }
            $value = Words::plain($value);
        });
        if ($count >= $most) {
            throw new InvalidValue("The form has {$count} fields or more than this machine reads at once; nothing was changed.", 'form');
        }
        $bag->replace($values);
    }
}
