{{-- One registrant beside the roster. line: DeskLine --}}
<tr class="row-d" tabindex="{{ $loop->first ? 0 : -1 }}"
    aria-label="{{ $line->who() }}: {{ Say::this($line->verdict->said()) }}">
    <td class="what">
        <b
            class="{{ $line->tone() }}">{{ ucfirst(Say::this($line->verdict->said(
                ))) }}</b><small>{{ $line->why }}</small>
        @if ($line->account !== null)
            <small class="bad">{{ __('registration.desk.account', ['name' => $line->account]) }}</small>
        @endif
    </td>
    <td>@include('registration.marked', ['pieces' => $line->name])<br>
        @include('registration.desk.address', ['address' => $line->address])</td>
    <td>
        @if ($line->rosterName === [])
            <span class="quiet">{{ __('registration.desk.nobody') }}</span>
        @else
            @include('registration.marked', ['pieces' => $line->rosterName])<br>
            @include('registration.desk.address', ['address' => $line->rosterAddress])
        @endif
    </td>
    <td><a href="{{ route('section', $line->sectionId) }}">{{ $line->section }}</a><br>
        <small>
            <x-joined :of="[
                $line->day ? __('registration.desk.only', ['day' => $line->day]) : '',
                __('registration.desk.came', ['at' => $line->arrived]),
            ]" />
        </small>
    </td>
    <td class="acts">@include('registration.desk.acts')</td>
</tr>
