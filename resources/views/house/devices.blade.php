@use('App\Models\Role')
<x-page title="Devices">
    <main class="page wide house-page" id="land">
        <div class="title">
            <h1>Devices</h1>
            <div class="sub">
                The machine at the bench needs no code.<br>
                Every other one is let in once, by a code of its own.
            </div>
        </div>
        <x-said :undo="false" />
        <div class="desk">
            <section class="sheet">
                <header><h2>Let in</h2></header>
                @forelse ($devices as $device)
                    <div class="device">
                        <span class="nm"
                            >{{ $device['name'] }}<span
                                >{{ $device['role'] === Role::Guest ? 'may look' : 'may do everything' }}</span
                            ></span
                        ><span class="soft">let in {{ $device['paired'] }}</span><span>seen {{ $device['seen'] }}</span>
                        <form method="post" action="{{ route('devices.destroy', $device['uid']) }}">
                            @csrf
                            @method('DELETE')
                            <button class="link" aria-label="Take back from {{ $device['name'] }}">Take back</button>
                        </form>
                    </div>
                @empty
                    <p class="in soft">No other device was let in yet.</p>
                @endforelse
            </section>
            <div class="side">
                <section class="sheet">
                    <header><h2>One more</h2></header>
                    @if (!$open)
                        <p class="in">
                            Idle Ridge answers on this machine only. Start it with <code>bin/demo --lan</code> or <code>bin/serve
                            --lan</code>, and the phone on the bench can come in.
                        </p>
                    @elseif ($code === null)
                        <form class="in stack" method="post" action="{{ route('devices.code') }}">
                            @csrf
                            <x-choice
                                name="role"
                                label="It may"
                                :options="[
                                    'builder' => 'do everything that can be done here',
                                    'guest' => 'look, and change nothing: a club evening, visitors of a show',
                                ]"
                                value="builder"
                            />
                            <div class="acts"><button class="btn">Make a code</button></div>
                        </form>
                    @else
                        <div class="in stack pairing">
                            <p class="code num" role="status">{{ $code }}</p>
                            @if ($house !== '')
                                <figure
                                    data-qr="{{ $house }}/pair?code={{ $code }}"
                                    aria-label="The address with the code, for a camera"
                                ></figure>
                                <p>Let the camera see this, or go to <b>{{ $house }}</b> and type the code.</p>
                            @else
                                <p>Type it on the other device.</p>
                            @endif
                            <p class="soft small">
                                It lets one device in that {{ $role === Role::Guest ? 'may look' : 'may do everything' }}, within
                                {{ $minutes }} minutes.
                            </p>
                            <a class="link" href="{{ route('devices.index') }}">Done</a>
                        </div>
                    @endif
                </section>
            </div>
        </div>
    </main>
</x-page>
