@props(['others'])
@if ($others === [])
    <p class="quiet">{{ __('import.nothing') }}</p>
@endif
@foreach ($others as $kind => $of)
    <details class="card-s" @if ($loop->count < 3) open @endif>
        <summary>
            <b>{{ __("import.kinds.$kind") }}</b>
            @foreach ($of['counts'] as $verb => $n)
                {{ trans_choice("import.verbs.$verb", $n) }}{{ $loop->last ? '' : ',' }}
            @endforeach
        </summary>
        <ul class="mb-0">
            @foreach ($of['lines'] as $line)
                <li>{{ $line->of }} <span class="quiet">{{ $line->before }}
                        {{ $line->before !== '' && $line->after !== '' ? '→' : '' }} {{ $line->after }}
                        {{ trans_choice('import.cost', $line->sessions) }}</span></li>
            @endforeach
            @if ($of['more'] > 0)
                <li>{{ trans_choice('import.more', $of['more']) }}</li>
            @endif
        </ul>
    </details>
@endforeach
