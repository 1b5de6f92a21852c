import { Module, type DynamicModule } from '@nestjs/common'
import { ConversionsController } from './conversions.controller'
import { ConversionsService } from './conversions.service'
import { MachineLines } from './machineLines'
import { JUDGE, type Judge } from '../judging/judge'
import { KeptVerdicts, RELEASE } from '../judging/keptVerdicts'
import { Rejudging } from './rejudging'
import { RevisionsService } from './revisions.service'
import { SchemaController } from './schema.controller'
import { PAPER_MAKER, type PaperMaker } from '../papers/paperMaker'
import { PapersController } from '../papers/papers.controller'
import { PapersService } from '../papers/papers.service'
import { WholeController } from '../whole/whole.controller'
import { WholeService } from '../whole/whole.service'
import { Thinning } from './thinning'

@Module({})
export class ConversionsModule {
  static of(release: string, paperMaker: PaperMaker, judge: Judge): DynamicModule {
    return {
      module: ConversionsModule,
      controllers: [ConversionsController, SchemaController, WholeController, PapersController],
      providers: [
        ConversionsService,
        RevisionsService,
        MachineLines,
        WholeService,
        PapersService,
        { provide: PAPER_MAKER, useValue: paperMaker },
        { provide: JUDGE, useValue: judge },
        KeptVerdicts,
        Rejudging,
        Thinning,
        { provide: RELEASE, useValue: release },
      ],
    }
  }
}
