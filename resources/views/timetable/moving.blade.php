{{-- What moving a session would do, for each reach. page: MovingPage --}}
@props(['page'])
<fieldset class="reaches">
    <legend>{{ __('session.move.to', ['day' => Say::day($page->day), 'times' => $page->times]) }}</legend>
    @foreach ($page->doubts as $doubt)
        <p class="todo mb-1">{{ $doubt }}</p>
    @endforeach
    @foreach ($page->reaches as $one)
        <label class="reach"><input class="form-check-input" type="radio" name="reach" value="{{ $one->reach->value }}"
                @checked($page->nearest() === $one->reach) @disabled($one->fault !== null)>
            <span><b>{{ ucfirst(Say::this($one->reach->said())) }}</b>
                @if ($one->fault !== null)
                    <small class="bad d-block">{{ $one->fault }}</small>
                @else
                    <small class="d-block">
                        @if ($one->effect === null)
                            {{ __('session.move.one') }}
                        @else
                            <b>{{ $one->then }}</b>: <x-effect-parts :of="$one->effect" :none="__('session.move.nothing')" />;
                            {{ __('session.move.begun') }}
                        @endif
                    </small>
                    @if ($one->fallen !== [])
                        <small class="todo d-block">{{ __('session.move.fallen') }}
                            <x-some :of="$one->fallen" :most="3" after="." /></small>
                    @endif
                    @if ($one->cost !== null)
                        <small
                            class="d-block {{ $one->tone() }}">{{ ucfirst(Say::this($one->cost->cost())) }}.</small>
                    @endif
                @endif
            </span>
        </label>
    @endforeach
    @can('coordinate')
        <p class="mb-0 mt-2">
            @foreach ($page->inTheWay as $other => $name)
                <a class="me-3" href="{{ route('moves', ['sessions' => [$page->session, $other], 'swap' => 1]) }}">{{ __('moves.swap', [
                    'name' => $name,
                ]) }}</a>
            @endforeach
            <a href="{{ route('moves', ['sessions' => [$page->session]]) }}">{{ __('moves.others') }}</a>
        </p>
    @endcan
</fieldset>
