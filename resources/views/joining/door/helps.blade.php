{{-- Other ways into it, and whom to ask. help: DoorHelp --}}
<dl class="helps">
    @if ($help->hours !== null)
        <dt>{{ __('door.helps.hours') }}</dt>
        <dd>{{ $help->hours }}</dd>
    @endif
    @if ($help->phone && $help->byPhone)
        <dt>{{ __('door.helps.phone') }}</dt>
        <dd>{{ $help->phone }}<br>{{ __('door.helps.pin', ['pin' => $help->pin]) }}</dd>
    @endif
    @if ($help->code)
        <dt>{{ __('door.helps.code') }}</dt>
        <dd class="mono">{{ $help->code }}</dd>
    @endif
    @if ($help->next !== [])
        <dt>{{ __('door.helps.next') }}</dt>
        <dd>
            @foreach ($help->next as $moment)
                {{ $moment }}
                <br>
            @endforeach
        </dd>
    @endif
    <dt>{{ __('door.helps.trouble') }}</dt>
    <dd>{{ __("door.helps.{$help->trouble()}", ['teacher' => $help->teacher]) }}</dd>
</dl>
