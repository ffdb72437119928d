{{-- One section on the board. row: BoardRow; page: BoardPage or BoardRows; first: whether the Tab key leads here --}}
@props(['row', 'page', 'first' => false])
<tr class="row-s" data-row="{{ $row->sourcedId }}" tabindex="{{ $first ? 0 : -1 }}" aria-label="{{ $row->name }}">
    <td><input class="form-check-input" type="checkbox" name="sections[]" value="{{ $row->sourcedId }}" data-name="{{ $row->name }}"
            aria-label="{{ __('board.choose', ['name' => $row->name]) }}"></td>
    <td class="sec"><a
            href="{{ $row->url() }}">{{ $row->name }}</a><small>{{ $row->small() }}</small>
    </td>
    <td class="line-cell">{{ $page->line->draw($page->days[$row->id] ?? [], $row->name, $page->today, $page->minute, $row->url()) }}</td>
    <td><span
            class="{{ $row->linkTone() }}">{{ __("board.link.{$row->linkState()}", ['n' => $row->status->linked, 'of' =>
                $row->status->series]) }}</span>
    </td>
    <td><span
            class="{{ $row->isRegistered() ? 'ok' : 'todo' }}">{{ __('board.registered', [
                'n' => $row->status->registered,
                'of' => $row->status->roster,
            ]) }}</span>
    </td>
    @foreach ($row->places() as $place)
        <td><span
                class="place">{{ Nomada\App\View\Shape::svg($place->is, $place->title . ': ' . __(
                    "board.is.$place->is")) }}{{ $place->stands }}</span>
        </td>
    @endforeach
    <td class="issue">
        @foreach (array_slice($row->shown(), 0, 1) as $issue)
            <a class="{{ $issue->isWrong ? 'bad' : 'todo' }}" href="{{ $row->leadsTo($issue) }}">{{ Say::this($issue->words) }}</a>
        @endforeach
        @if (count($row->shown()) > 1)
            <span class="quiet">+{{ count($row->shown()) - 1 }}</span>
        @endif
    </td>
</tr>
