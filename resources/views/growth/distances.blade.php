@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@if ($distances !== [])
    <section class="sheet">
        <header>
            <h2>Forced perspective</h2>
            <span class="meta">trees and rows are built so by themselves</span>
        </header>
        <table class="distances">
            <thead>
                <tr>
                    <th scope="col">From the edge</th><th scope="col">Scale</th><th scope="col">Person</th><th scope="col">Door</th
                    ><th scope="col">House, {{ Format::text(8, 'm') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($distances as $one)
                    <tr>
                        <td class="num">{{ Format::length($one['deep']) }}</td>
                        <td class="num">{{ $one['ratio'] }}</td>
                        @foreach ($one['sizes'] as $size)
                            <td class="num">{{ Format::length($size, 1) }}</td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </section>
@endif
