{{-- The last letters to somebody. page: Look --}}
<h2 class="mt-4">{{ __('publishing.look.post') }}</h2>
@if ($page->letters === [])
    <p class="quiet">{{ __('publishing.look.no_letters') }}</p>
@else
    <table class="table-plain w-auto">
        <tbody>
            @foreach ($page->letters as $letter)
                <tr>
                    <td>{{ $page->day($letter->sentAt) }} {{ $page->clock($letter->sentAt) }}</td>
                    <th scope="row">{{ __("letters.{$letter->kind->value}.title") }}</th>
                    <td>{{ $letter->of }}</td>
                    <td>
                        @if ($letter->isThere === null)
                            <span class="quiet">{{ __('publishing.look.sent') }}</span>
                        @elseif ($letter->isThere)
                            <x-shape is="published" /> {{ __('publishing.look.in_mailbox') }}
                        @else
                            <x-shape is="wrong" /> <b class="bad">{{ __('publishing.look.not_in_mailbox') }}</b>
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
