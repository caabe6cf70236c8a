<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\House\Devices;
use App\Actions\House\Pairing;
use App\Models\Role;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The devices of the house: a code for one more, who was let in, and taking that back. Guests are not shown it. */
final class DeviceController
{
    public function __construct(private readonly Devices $devices)
    {
    }

    public function index(Request $request): View
    {
        return $this->page($request, null, Role::Builder);
    }

    public function code(Request $request, Pairing $pairing): View
    {
        $role = $request->input('role') === Role::Guest->value ? Role::Guest : Role::Builder;

        return $this->page($request, $pairing->begin($role), $role);
    }

    public function destroy(string $device): RedirectResponse
    {
        $name = $this->devices->takeBack($device);

        return redirect()
            ->route('devices.index')
            ->with('said', $name === null ? 'It was taken back already.' : "{$name} is let in no longer.");
    }

    private function page(Request $request, ?string $code, Role $role): View
    {
        abort_if($request->attributes->get('role') === Role::Guest, 403);

        return view('house.devices', [
            'devices' => $this->devices->all(),
            'code' => $code,
            'role' => $role,
            'open' => config('ridge.lan') === true,
            'house' => (string) config('ridge.house'),
            'minutes' => intdiv(Pairing::PAIRING_CODE_SECONDS, 60),
        ]);
    }
}
