{{-- Where somebody is signed in, this browser first. rows: list of SignInRow --}}
@props(['rows'])
<section class="card-s">
    <h2>{{ __('account.sign_ins.title') }}</h2>
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('account.sign_ins.what') }}</th>
                <th scope="col">{{ __('account.sign_ins.from') }}</th>
                <th scope="col">{{ __('account.sign_ins.began') }}</th>
                <th scope="col">{{ __('account.sign_ins.seen') }}</th>
                <th scope="col"><span class="visually-hidden">{{ __('account.sign_ins.end') }}</span></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <td><b>{{ $row->browser === '' ? __('account.sign_ins.unknown') : $row->browser }}</b></td>
                    <td class="mono">{{ $row->address }}</td>
                    <td class="nowrap">{{ $row->began }}</td>
                    <td class="nowrap">{{ $row->isThis ? __('account.sign_ins.this') : $row->seen }}</td>
                    <td>
                        @unless ($row->isThis)
                            <form method="post" action="{{ route('account.sign-ins.end', $row->id) }}">@csrf @method('delete')
                                <button class="btn btn-plain py-0">{{ __('account.sign_ins.end') }}<span class="visually-hidden">
                                        {{ __('account.sign_ins.end_named', ['seen' => $row->seen]) }}</span></button>
                            </form>
                        @endunless
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @if (count($rows) > 1)
        <form class="mt-2" method="post" action="{{ route('account.sign-ins.end') }}">@csrf @method('delete')
            <button class="btn btn-side">{{ __('account.sign_ins.all') }}</button>
        </form>
    @endif
    <p class="quiet small mt-2 mb-0">{{ __('account.sign_ins.hint') }}</p>
</section>
