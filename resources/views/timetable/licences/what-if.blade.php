{{-- What other numbers of accounts would mean. rows: WhatIfRow[] --}}
<x-card :title="__('licences.what_if.title')">
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col" class="num">{{ __('licences.what_if.accounts') }}</th>
                <th scope="col">{{ __('licences.what_if.means') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <td class="num">
                        @if ($row->isNow)
                            <b>{{ __('licences.what_if.now', ['n' => $row->n]) }}</b>
                        @else
                            {{ $row->n }}
                        @endif
                        @if ($row->like !== '')
                            <small>{{ $row->like }}</small>
                        @endif
                    </td>
                    @if ($row->left > 0)
                        <td class="bad">{{ trans_choice('licences.what_if.left', $row->left) }}</td>
                    @elseif ($row->split > 0)
                        <td class="todo">{{ trans_choice('licences.what_if.split', $row->split) }}</td>
                    @else
                        <td class="good">{{ __('licences.what_if.fine') }}</td>
                    @endif
                </tr>
            @endforeach
        </tbody>
    </table>
</x-card>
