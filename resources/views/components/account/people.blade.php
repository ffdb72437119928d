{{-- One role's people, those who cannot sign in yet first, a page at a time. page: PeoplePage --}}
@props(['page'])
<table class="table-plain">
    <thead>
        <tr>
            <th scope="col">{{ __('account.people.name') }}</th>
            <th scope="col">{{ __('account.people.address') }}</th>
            <th scope="col">{{ __('account.people.state') }}</th>
            <th scope="col">{{ __('account.people.seen') }}</th>
            <th scope="col"><span class="visually-hidden">{{ __('account.people.invite') }}</span></th>
        </tr>
    </thead>
    <tbody>
        @forelse ($page->people as $one)
            <tr>
                <td><a href="{{ route('person', $one->sourcedId) }}"><b>{{ $one->name }}</b></a></td>
                <td>{{ $one->address === '' ? '–' : $one->address }}</td>
                <td @class([
                    'good' => $one->state === 'ready',
                    'todo' => $one->state === 'ended',
                ])>
                    {{ __("account.people.states.$one->state", ['on' => $one->on]) }}{{ $one->hasSecondFactor ? ', ' . __(
                        'account.people.factor') : '' }}
                </td>
                <td>{{ $one->seen ?? '–' }}</td>
                <td>
                    <form method="post" action="{{ route('person.invite', $one->sourcedId) }}">@csrf
                        <button
                            class="btn btn-plain py-0">{{ __(in_array($one->state, ['none'], true) ? 'account.people.invite'
                                : 'account.people.again') }}<span
                                class="visually-hidden"> {{ $one->name }}</span></button>
                    </form>
                </td>
            </tr>
        @empty
            <tr>
                <td colspan="5" class="quiet">{{ __('account.people.nobody') }}</td>
            </tr>
        @endforelse
    </tbody>
</table>
@if ($page->pages > 1)
    <p class="mt-2">
        @for ($n = 1; $n <= $page->pages; $n++)
            <a @class(['pill', 'on' => $n === $page->page]) href="{{ route('accounts', ['role' => $page->role->value, 'page' => $n]) }}"
                aria-label="{{ __('account.people.page', ['page' => $n, 'pages' => $page->pages]) }}">{{ $n }}</a>
        @endfor
    </p>
@endif
