@props(['page'])
<x-app :title="__('joining.drop_ins.title')">
    <x-page-head :title="__('joining.drop_ins.title')" :sum="trans_choice('joining.drop_ins.sum', count($page->rooms))">
        <x-pill :to="route('joining')">{{ __('joining.title') }}</x-pill>
    </x-page-head>
    <x-faults class="fault" :of="['form']" />
    @if ($page->rooms === [])
        <x-empty :title="__('joining.drop_ins.none')">{{ __('joining.drop_ins.none_hint') }}</x-empty>
    @else
        <table class="table-plain stacked">
            <thead>
                <tr>
                    <th scope="col">{{ __('joining.drop_ins.room') }}</th>
                    <th scope="col">{{ __('joining.drop_ins.open') }}</th>
                    <th scope="col">{{ __('joining.drop_ins.next') }}</th>
                    <th scope="col">{{ __('joining.drop_ins.link') }}</th>
                    <th scope="col">{{ __('joining.preset') }}</th>
                    <th scope="col"><span class="visually-hidden">{{ __('joining.drop_ins.acts') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->rooms as $room)
                    @include('joining.drop-in.room')
                @endforeach
            </tbody>
        </table>
    @endif
    @include('joining.drop-in.new')
</x-app>
