{{-- Lists: one that can be chosen from, pages, free times, faults of a file --}}
<x-card :title="__('house.lists')">
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('house.one') }}</th>
                <th scope="col" class="num">{{ __('house.number') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ([__('house.one'), __('house.another')] as $row)
                <tr>
                    <td><x-choose :name="$scheme . '-rows'" :value="$loop->index" :row="$row" /> {{ $row }}</td>
                    <td class="num">{{ $loop->iteration }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <div class="my-2"><x-pages :page="2" :pages="3" before="#samples" next="#samples" /></div>
    <ul class="free" aria-label="{{ __('session.free') }}">
        @foreach ($page->free as $free)
            <x-free-time :$free><button type="button" class="btn btn-side py-0">{{ __('session.take') }}</button></x-free-time>
        @endforeach
    </ul>
    <x-read-faults :of="$page->faults" file />
</x-card>
