import { Module } from '@nestjs/common'
import { ShopsModule } from '../shops/shops.module'
import { LibraryController } from './library.controller'
import { LibraryService } from './library.service'

@Module({ imports: [ShopsModule], controllers: [LibraryController], providers: [LibraryService] })
export class LibraryModule {}
