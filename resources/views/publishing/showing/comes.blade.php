{{-- What comes of the rules, from this week on. page: ShowingPage --}}
<x-card :title="__('showing.comes')" :beside="__('showing.from_now')">
    @if ($page->rows === [])
        <x-empty :title="__('showing.nothing')">{{ __('showing.nothing_hint') }}</x-empty>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    @foreach (['what', 'where', 'shown', 'readers'] as $head)
                        <th scope="col">{{ __("showing.heads.$head") }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach ($page->rows as $row)
                    <tr>
                        <th scope="row">{{ $row->title }}</th>
                        <td>{{ Say::this($row->place->said()) }}{{ $row->position === null ? '' : ", $row->position" }}
                        </td>
                        <td>
                            @if ($row->from !== null)
                                {{ __('showing.from', ['day' => $page->day($row->from)]) }}
                            @endif
                            @if ($row->till !== null)
                                {{ __('showing.till', ['day' => $page->day($row->till)]) }}
                            @endif
                            {{ $row->from === null && $row->till === null ? __('showing.always') : '' }}
                        </td>
                        <td>{{ $row->readers ?? __('showing.everybody') }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-card>
