<?php

use App\Actions\House\DiskTrouble;
use App\Actions\Ledger\Overtaken;
use App\Actions\Ledger\StaleRecord;
use App\Computed\UnreadableLayout;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\OurData;
use App\Http\Middleware\Paired;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SecureHeaders;
use App\Http\Middleware\SpeakUnits;
use App\Http\Middleware\TakeTurns;
use App\Http\Middleware\WhatWasSeen;
use App\Pages\Layouts\ShowLayouts;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->append(SecureHeaders::class);
        $middleware->prepend(KnownHost::class);
        $middleware->prependToGroup('web', OurData::class);
        $middleware->appendToGroup('web', [PlainInput::class, Paired::class, WhatWasSeen::class, TakeTurns::class, SpeakUnits::class]);
        // All of them before the first record is looked up.
        foreach ([PlainInput::class, Paired::class, WhatWasSeen::class, TakeTurns::class] as $first) {
            $middleware->prependToPriorityList(SubstituteBindings::class, $first);
        }
        // The script sets it when the lamp is lit.
        $middleware->encryptCookies(except: ['theme']);
        // Lengths are shown again as they were typed, spaces and all.
        $middleware->remove(Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull::class);
    })
    ->withSchedule(function (Schedule $schedule): void {
        $schedule->command('ridge:listen')->everyTenMinutes()->withoutOverlapping(10)->runInBackground();
        $schedule->command('ridge:backup --due')->everyThirtyMinutes();
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([InvalidValue::class, InvalidValues::class, StaleRecord::class, Overtaken::class, UnreadableLayout::class]);
        $exceptions->map(
            InvalidValue::class,
            fn (InvalidValue $refusal): ValidationException => ValidationException::withMessages(
                [$refusal->place ?: 'form' => $refusal->getMessage()],
            ),
        );
        $exceptions->map(InvalidValues::class, function (InvalidValues $refusals): ValidationException {
            $messages = [];
            foreach ($refusals->all as $refusal) {
                $messages[$refusal->place ?: 'form'][] = $refusal->getMessage();
            }

            return ValidationException::withMessages($messages);
        });
        $exceptions->render(function (ValidationException $invalid, Request $request) {
            if ($request->header('HX-Request') === 'true') {
                return response()->view('land.faults', ['faults' => $invalid->errors()], 422);
            }
            // A page that cannot be shown leads nowhere back.
            if ($request->isMethod('GET')) {
                return response()->view('errors.422', ['faults' => $invalid->errors()], 422);
            }
        });
        $exceptions->render(function (Throwable $failed, Request $request) {
            $trouble = DiskTrouble::of($failed);
            if ($trouble === null) {
                return null;
            }

            return $request->header('HX-Request') === 'true'
                ? response()->view('land.faults', ['faults' => ['form' => [$trouble->said()]]], 422)
                : response()->view(
                    'errors.disk',
                    [
                        'said' => $trouble->said(),
                        'again' => $request->isMethod('GET') ? null : $request->fullUrl(),
                        'typed' => DiskTrouble::typed($request->input()),
                    ],
                    507,
                );
        });
        $exceptions->render(function (UnreadableLayout $unreadable, Request $request) {
            return $request->header('HX-Request') === 'true'
                ? response()->view(
                    'land.faults',
                    ['faults' => ['form' => array_map(fn (InvalidValue $r): string => $r->getMessage(), $unreadable->faults->all)]],
                    422,
                )
                : response()->view('errors.unreadable', app(ShowLayouts::class)->broken($unreadable), 422);
        });
        $exceptions->render(function (Overtaken $overtaken, Request $request) {
            return $request->header('HX-Request') === 'true'
                ? response()->view('land.faults', ['faults' => ['form' => [$overtaken->getMessage()]]], 409)
                : redirect()->back()->with('said', $overtaken->getMessage());
        });
        $exceptions->render(function (StaleRecord $stale, Request $request) {
            $view = $request->header('HX-Request') === 'true' ? 'land.stale' : 'errors.409';

            return response()->view($view, ['stale' => $stale], 409);
        });
        // What a script asked for may name what it shows and how: what was refused goes whole into the place for faults.
        $exceptions->respond(function (Response $response, Throwable $failed, Request $request): Response {
            if ($request->header('HX-Request') === 'true' && in_array($response->getStatusCode(), [409, 422], true)) {
                $response->headers->add(['HX-Reswap' => 'innerHTML', 'HX-Reselect' => 'unset']);
            }

            return $response;
        });
    })
    ->create();
