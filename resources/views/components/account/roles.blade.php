{{-- How many of each role can sign in, and inviting the rest. page: PeoplePage --}}
@props(['page'])
<table class="table-plain">
    <thead>
        <tr>
            <th scope="col">{{ __('account.people.role') }}</th>
            <th scope="col" class="num">{{ __('account.people.all') }}</th>
            <th scope="col" class="num">{{ __('account.people.ready') }}</th>
            <th scope="col" class="num">{{ __('account.people.invited') }}</th>
            <th scope="col" class="num">{{ __('account.people.silent') }}</th>
            <th scope="col"><span class="visually-hidden">{{ __('account.people.invite') }}</span></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->roles as $row)
            <tr>
                <td><a href="{{ route('accounts', ['role' => $row->role->value]) }}"
                        @if ($row->role === $page->role) aria-current="true" @endif><b>{{ __(
                            "account.people.roles.{$row->role->value}") }}</b></a>
                </td>
                <td class="num">{{ $row->all }}</td>
                <td class="num">{{ $row->ready }}</td>
                <td class="num">{{ $row->invited }}</td>
                <td class="num">{{ $row->silent ?: '–' }}</td>
                <td>
                    @if ($row->left() > 0)
                        <form method="post" action="{{ route('accounts.invite') }}">@csrf
                            <input type="hidden" name="role" value="{{ $row->role->value }}">
                            <button class="btn btn-side py-0">{{ trans_choice('account.people.invite_all', $row->left()) }}<span
                                    class="visually-hidden">, {{ __("account.people.roles.{$row->role->value}") }}</span></button>
                        </form>
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
