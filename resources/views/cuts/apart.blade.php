<p class="in small">{{
    $shell === null
        ? 'Figures at the left are bottoms over the datum, ' . \IdleRidge\Core\Measure\Format::unit('mm') .
            '; touch a layer to lay it flat.'
        : 'Touch a rib to lay it flat.'
}}</p>
@if ($drawing === null)
    <p class="blank-words">There is no land above the board yet, so nothing is to be cut. Raise a hill on Land.</p>
@else
    <div class="cut-hold">{!! $drawing->toHtml() !!}</div>
@endif
