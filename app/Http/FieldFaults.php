<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Support\MessageBag;
use Illuminate\Support\ViewErrorBag;

/** What is wrong with the fields of a question that a page was asked with: the page is shown all the same, with the faults beside them. */
final class FieldFaults
{
    /** @param  array<string, string>  $faults field → what is wrong with it */
    public static function show(array $faults): void
    {
        if ($faults !== []) {
            view()->share('errors', (new ViewErrorBag())->put('default', new MessageBag($faults)));
        }
    }
}
