{{-- One session that nothing makes up, with times at which it could be. row: MakeUpRow --}}
<tr>
    <td class="nowrap"><b>{{ Say::day($row->day) }}</b><br><small>{{ $row->reason }}</small></td>
    <td><a href="{{ route('section', [$row->section, 'session' => $row->session]) }}"><b>{{ $row->section->name() }}</b></a>
        @if ($row->series !== $row->section->title)
            <br><small>{{ $row->series }}</small>
        @endif
    </td>
    <td>
        <fieldset class="offers">
            <legend class="visually-hidden">{{ $row->section->name() }}, {{ Say::day($row->day) }}</legend>
            @forelse ($row->free as $free)
                <label class="offer"><input class="form-check-input" type="radio" name="take[{{ $row->session }}]"
                        value="{{ $free->value }}"
                        @checked($loop->first && $row->hasGood())><span><b>{{ $free->words }}</b><small
                            class="d-block {{ $free->isGood ? 'good' : 'quiet' }}">{{ $free->cost }}</small></span></label>
            @empty
                <span class="quiet">{{ __('session.make_up.none') }}</span>
            @endforelse
            <label class="offer"><input class="form-check-input" type="radio" name="take[{{ $row->session }}]" value=""
                    @checked(!$row->hasGood())> <span class="quiet">{{ __('term.make_ups.not_now') }}</span></label>
        </fieldset>
    </td>
</tr>
